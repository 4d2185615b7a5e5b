type Host = typeof globalThis & Window;

/** Rules that pages were given for their pieces: each once. */
const given = new Set<string>();

interface Trusting {
  readonly trustedTypes?: {
    createPolicy(
      name: string,
      rules: { createHTML: (text: string) => string },
    ): {
      createHTML(text: string): string;
    };
  };
}

/** Markup as a page takes it that asks for types of trust. Source: Trusted Types. */
function trusted(host: Host, text: string): string {
  try {
    const policy = (host as Trusting).trustedTypes?.createPolicy('giostra-piece', {
      createHTML: (each) => each,
    });
    return policy?.createHTML(text) ?? text;
  } catch {
    return text;
  }
}

/** A sheet that no policy of the page forbids, since it is put together by a script. */
function sheet(host: Host, css: string): CSSStyleSheet {
  const made = new host.CSSStyleSheet();
  made.replaceSync(css);
  return made;
}

/** Puts what has come into the tree of an element. */
export function bring(element: HTMLElement, host: Host, answer: string) {
  const parsed = new host.DOMParser().parseFromString(trusted(host, answer), 'text/html');
  const template = parsed.querySelector('template');
  if (!template) throw new Error('no template');
  const faces = parsed.querySelector('style')?.textContent ?? '';
  if (!given.has(faces)) {
    given.add(faces);
    host.document.adoptedStyleSheets.push(sheet(host, faces));
  }
  const tree = host.document.importNode(template.content, true);
  const styles = [...tree.querySelectorAll('style')];
  const css = styles.map((each) => each.textContent ?? '').join('');
  for (const style of styles) style.remove();
  const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' });
  root.adoptedStyleSheets = [sheet(host, css)];
  root.replaceChildren(tree);
}
