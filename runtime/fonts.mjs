// Writes the fonts that ship as the engine reads them: unpacked, with the characters that pages ask
// each for. Run by hand when a font changes: npm run fonts
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import wawoff2 from 'wawoff2';

const require = createRequire(import.meta.url);
const to = '../core/src/main/resources/giostra/core/fit/fonts';

rmSync(to, { recursive: true, force: true });
mkdirSync(to, { recursive: true });
const index = [];
for (const [family, folder] of [
  ['Source Sans 3 Variable', 'source-sans-3'],
  ['Fraunces Variable', 'fraunces'],
]) {
  const root = dirname(require.resolve(`@fontsource-variable/${folder}/package.json`));
  const faces = readFileSync(join(root, 'index.css'), 'utf8').split('@font-face').slice(1);
  for (const face of faces) {
    const file = /files\/([\w-]+-latin(?:-ext)?-[\w-]+)\.woff2/.exec(face)?.[1];
    if (!file) continue;
    const range = /unicode-range:\s*([^;}]+)/.exec(face)[1].replace(/\s+/g, '');
    writeFileSync(
      join(to, `${file}.ttf`),
      await wawoff2.decompress(readFileSync(join(root, 'files', `${file}.woff2`))),
    );
    index.push(`${family}|${file}.ttf|${range}`);
  }
}
writeFileSync(join(to, 'index.txt'), `${index.join('\n')}\n`);
