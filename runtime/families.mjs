// The families that ship, by the name of their files' package: what the build lays beside pages and
// what the engine measures with. giostra.core.value.Typeface names them.
export const families = [
  ['Source Sans 3 Variable', 'source-sans-3'],
  ['Fraunces Variable', 'fraunces'],
  ['Literata Variable', 'literata'],
  ['Bitter Variable', 'bitter'],
  ['Playfair Display Variable', 'playfair-display'],
  ['Work Sans Variable', 'work-sans'],
  ['Nunito Variable', 'nunito'],
  ['Oswald Variable', 'oswald'],
  ['Space Grotesk Variable', 'space-grotesk'],
  ['Rubik Variable', 'rubik'],
  ['Caveat Variable', 'caveat'],
  ['Source Code Pro Variable', 'source-code-pro'],
];

// What stands in for characters that a family has not, script by script: pages are sent the slices
// that their words ask for. giostra.core.value.Further names them.
export const further = [
  ['Noto Sans Variable', 'noto-sans'],
  ['Noto Sans Arabic Variable', 'noto-sans-arabic'],
  ['Noto Sans Hebrew Variable', 'noto-sans-hebrew'],
  ['Noto Sans Thai Variable', 'noto-sans-thai'],
  ['Noto Sans JP Variable', 'noto-sans-jp'],
  ['Noto Sans SC Variable', 'noto-sans-sc'],
  ['Noto Sans TC Variable', 'noto-sans-tc'],
  ['Noto Sans KR Variable', 'noto-sans-kr'],
  ['Noto Sans Symbols Variable', 'noto-sans-symbols'],
];

// What is drawn in a PDF, whose writer reads no packed fonts; those of East Asia would be as large
// as everything else together.
export const printed = [
  'noto-sans',
  'noto-sans-arabic',
  'noto-sans-hebrew',
  'noto-sans-thai',
  'noto-sans-symbols',
];

/** The faces of a package's sheet: file, characters, weights. One file a script. */
export function facesOf(css) {
  return css
    .split('@font-face')
    .slice(1)
    .flatMap((face) => {
      const file = /files\/([\w-]+-wght-normal)\.woff2/.exec(face)?.[1];
      return file
        ? [
            {
              file,
              range: /unicode-range:\s*([^;}]+)/.exec(face)[1].replace(/\s+/g, ''),
              weights: /font-weight:\s*([^;]+);/.exec(face)[1].trim(),
            },
          ]
        : [];
    });
}
