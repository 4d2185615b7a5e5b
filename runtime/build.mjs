// Builds the page script and the bench's stage script, and lays the fonts beside them.

import { createHash } from 'node:crypto';
import { cpSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { build } from 'esbuild';
import wawoff2 from 'wawoff2';
import { facesOf, families, further, printed } from './families.mjs';

const require = createRequire(import.meta.url);
rmSync('dist', { recursive: true, force: true });
mkdirSync('dist/fonts', { recursive: true });
mkdirSync('dist/print', { recursive: true });

/** What pages run; pieces that stand in pages of somebody else's run the same in rooms of their own. */
const onPages = [
  'page',
  'autoplay',
  'changes',
  'entrances',
  'track',
  'tabs',
  'accordion',
  'flip-boxes',
  'counters',
  'clips',
  'grounds',
];
const entries = (names) => Object.fromEntries(names.map((name) => [name, `src/${name}.ts`]));
const settings = {
  bundle: true,
  minify: true,
  format: 'iife',
  target: ['es2022'],
  legalComments: 'none',
};
const hashed = (kind, file, form) => createHash(kind).update(readFileSync(file)).digest(form);

await build({
  ...settings,
  entryPoints: entries([...onPages, 'stage', 'assume']),
  outdir: 'dist',
});

// In a room a script finds nothing by itself: what it would ask a window for is handed to it, by
// name, since a script of an earlier release may meet a later room.
const handed = JSON.parse(readFileSync('src/handed.json', 'utf8'));
await build({
  ...settings,
  entryPoints: entries(onPages),
  outdir: 'dist/in-rooms',
  // What is taken apart by name may not say of itself that it is strict.
  banner: { js: `'use strict';giostraRoom(function({${handed}}){;` },
  footer: { js: '})' },
});
await build({ ...settings, entryPoints: entries(['room']), outdir: 'dist/in-rooms' });
const room = {
  file: `room.${hashed('sha256', 'dist/in-rooms/room.js', 'hex').slice(0, 12)}.js`,
  integrity: `sha384-${hashed('sha384', 'dist/in-rooms/room.js', 'base64')}`,
};
await build({
  ...settings,
  entryPoints: entries(['piece']),
  outdir: 'dist/in-rooms',
  define: { ROOM: JSON.stringify(room) },
});

// What each font covers is read from the package's own style sheet, so it cannot drift from it.
const fonts = [];
for (const [family, folder] of [...families, ...further]) {
  const root = dirname(require.resolve(`@fontsource-variable/${folder}/package.json`));
  for (const { file, range, weights } of facesOf(readFileSync(join(root, 'index.css'), 'utf8'))) {
    const from = join(root, 'files', `${file}.woff2`);
    const hash = hashed('sha256', from, 'hex').slice(0, 12);
    cpSync(from, join('dist/fonts', `${file}.woff2`));
    fonts.push({ family, file: `${file}.woff2`, hash, weights, unicodeRange: range });
    if (printed.includes(folder)) {
      const plain = await wawoff2.decompress(readFileSync(from));
      writeFileSync(join('dist/print', `${file}.ttf`), Buffer.from(plain));
    }
  }
}
fonts.sort((a, b) => a.file.localeCompare(b.file));

// The icons, as what is drawn in a box of 24 by 24; marks of brands are left out.
const icons = JSON.parse(readFileSync(require.resolve('lucide-static/icon-nodes.json'), 'utf8'));
const tags = JSON.parse(readFileSync(require.resolve('lucide-static/tags.json'), 'utf8'));
const drawn = Object.fromEntries(
  Object.entries(icons)
    .filter(([name]) => !name.startsWith('bluetooth'))
    .map(([name, nodes]) => [
      name,
      {
        draw: nodes
          .map(
            ([tag, attributes]) =>
              `<${tag} ${Object.entries(attributes)
                .map(([key, value]) => `${key}="${value}"`)
                .join(' ')}/>`,
          )
          .join(''),
        tags: tags[name] ?? [],
      },
    ]),
);
writeFileSync('dist/icons.json', JSON.stringify(drawn));
writeFileSync('dist/fonts.json', JSON.stringify(fonts, null, 1));
