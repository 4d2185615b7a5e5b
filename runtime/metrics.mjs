// Writes what the engine knows of the fonts that ship: advances of characters, and what pairs of them
// take less or more (kerning and ligatures), in thousandths of the font size, as HarfBuzz shapes them.
// Run by hand when a font changes: node metrics.mjs > ../core/src/main/resources/giostra/core/fit/faces.txt
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import * as hb from 'harfbuzzjs';
import wawoff2 from 'wawoff2';

const require = createRequire(import.meta.url);

async function load(folder, file) {
  const root = dirname(require.resolve(`@fontsource-variable/${folder}/package.json`));
  const bytes = await wawoff2.decompress(readFileSync(join(root, 'files', file)));
  const own = bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength);
  return new hb.Face(new hb.Blob(own));
}

const out = [];
for (const [family, folder, weights] of [
  ['Source Sans 3 Variable', 'source-sans-3', [400, 600, 650, 700]],
  ['Fraunces Variable', 'fraunces', [500]],
]) {
  const latin = await load(folder, `${folder}-latin-wght-normal.woff2`);
  const extended = await load(folder, `${folder}-latin-ext-wght-normal.woff2`);
  for (const weight of weights) {
    const width = (face) => {
      const font = new hb.Font(face);
      font.setVariations([new hb.Variation('wght', weight)]);
      return (text) => {
        const buffer = new hb.Buffer();
        buffer.addText(text);
        buffer.guessSegmentProperties();
        hb.shape(font, buffer);
        const units = buffer.getGlyphPositions().reduce((sum, glyph) => sum + glyph.xAdvance, 0);
        return Math.round((units * 10000) / face.upem) / 10;
      };
    };
    const near = width(latin);
    const far = width(extended);
    const codes = [...latin.collectUnicodes()].filter((code) => code >= 32);
    const advances = new Map(codes.map((code) => [code, near(String.fromCodePoint(code))]));
    out.push(`face ${weight} ${family}`);
    out.push(`a ${[...advances].map(([code, units]) => `${code}:${units}`).join(' ')}`);
    const others = [...extended.collectUnicodes()].filter((code) => !advances.has(code));
    out.push(`a ${others.map((code) => `${code}:${far(String.fromCodePoint(code))}`).join(' ')}`);
    for (const left of codes) {
      const pairs = [];
      for (const right of codes) {
        const both = near(String.fromCodePoint(left, right));
        const less = Math.round((both - advances.get(left) - advances.get(right)) * 10) / 10;
        if (less !== 0) pairs.push(`${right}:${less}`);
      }
      if (pairs.length > 0) out.push(`k ${left} ${pairs.join(' ')}`);
    }
  }
}
process.stdout.write(`${out.join('\n')}\n`);
