// Writes the fonts that ship as the engine reads them: unpacked, with the characters that pages ask
// each for. Run by hand when a font changes: npm run fonts
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import wawoff2 from 'wawoff2';
import { facesOf, families } from './families.mjs';

const require = createRequire(import.meta.url);
const to = '../core/src/main/resources/giostra/core/fit/fonts';

rmSync(to, { recursive: true, force: true });
mkdirSync(to, { recursive: true });
const index = [];
for (const [family, folder] of families) {
  const root = dirname(require.resolve(`@fontsource-variable/${folder}/package.json`));
  for (const { file, range } of facesOf(readFileSync(join(root, 'index.css'), 'utf8'))) {
    writeFileSync(
      join(to, `${file}.ttf`),
      await wawoff2.decompress(readFileSync(join(root, 'files', `${file}.woff2`))),
    );
    index.push(`${family}|${file}.ttf|${range}`);
  }
}
writeFileSync(join(to, 'index.txt'), `${index.join('\n')}\n`);
