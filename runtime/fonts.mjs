// Writes the fonts that ship as the engine reads them: unpacked, with the characters that pages ask
// each for, and of those further ones that draw what a family has not only the tables that measure.
// Run by hand when a font changes: npm run fonts
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import wawoff2 from 'wawoff2';
import { facesOf, families, further } from './families.mjs';

const require = createRequire(import.meta.url);
const to = '../core/src/main/resources/giostra/core/fit/fonts';

// What a shaper asks for widths. Source: OpenType 1.9, "OpenType Font Tables".
const MEASURE = 'head hhea maxp hmtx HVAR avar fvar cmap GSUB GPOS GDEF OS/2'.split(' ');
const HEADER = 12;
const RECORD = 16;

/** A font of some of its tables, in their order. */
function only(tables, font) {
  const records = [];
  for (let i = 0; i < font.readUInt16BE(4); i++) {
    const record = font.subarray(HEADER + RECORD * i, HEADER + RECORD * (i + 1));
    if (tables.includes(record.toString('latin1', 0, 4))) records.push(Buffer.from(record));
  }
  const parts = [];
  let at = HEADER + RECORD * records.length;
  for (const record of records) {
    const from = record.readUInt32BE(8);
    const length = record.readUInt32BE(12);
    const padded = Buffer.alloc(Math.ceil(length / 4) * 4);
    font.copy(padded, 0, from, from + length);
    record.writeUInt32BE(at, 8);
    parts.push(padded);
    at += padded.length;
  }
  const header = Buffer.from(font.subarray(0, HEADER));
  header.writeUInt16BE(records.length, 4);
  return Buffer.concat([header, ...records, ...parts]);
}

async function unpacked(root, file) {
  return Buffer.from(await wawoff2.decompress(readFileSync(join(root, 'files', `${file}.woff2`))));
}

function packageOf(folder) {
  const root = dirname(require.resolve(`@fontsource-variable/${folder}/package.json`));
  return { root, faces: facesOf(readFileSync(join(root, 'index.css'), 'utf8')) };
}

rmSync(to, { recursive: true, force: true });
mkdirSync(to, { recursive: true });
const index = [];
for (const [family, folder] of families) {
  const { root, faces } = packageOf(folder);
  for (const { file, range } of faces) {
    const font = await unpacked(root, file);
    writeFileSync(join(to, `${file}.ttf`), font);
    index.push(`${family}|${file}.ttf|0|${font.length}|${range}`);
  }
}
// Hundreds of small files: one after the other in one.
for (const [family, folder] of further) {
  const { root, faces } = packageOf(folder);
  const fonts = [];
  let at = 0;
  for (const { file, range } of faces) {
    const font = only(MEASURE, await unpacked(root, file));
    index.push(`${family}|${folder}.fonts|${at}|${font.length}|${range}`);
    fonts.push(font);
    at += font.length;
  }
  writeFileSync(join(to, `${folder}.fonts`), Buffer.concat(fonts));
}
writeFileSync(join(to, 'index.txt'), `${index.join('\n')}\n`);
