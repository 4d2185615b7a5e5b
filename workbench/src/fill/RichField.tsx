import {
  type Editor,
  EditorContent,
  mergeAttributes,
  Node,
  useEditor,
  useEditorState,
} from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import {
  Bold,
  Code,
  Heading3,
  Heading4,
  Image,
  Italic,
  Link,
  List,
  ListOrdered,
  type LucideIcon,
  Quote,
  RemoveFormatting,
} from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useBench } from '../bench/context';
import { fileAt } from '../media/format';
import { Tool } from '../ui/Tool';
import { usePicker } from './PicturePicker';

/** A picture of the site within a text, told by its id. */
const SitePicture = Node.create<{ site: string }>({
  name: 'picture',
  addOptions: () => ({ site: '' }),
  group: 'block',
  draggable: true,
  addAttributes: () => ({
    picture: { default: '', parseHTML: (element) => element.getAttribute('data-picture') },
    alt: { default: '' },
  }),
  parseHTML: () => [{ tag: 'img[data-picture]' }],
  renderHTML({ HTMLAttributes: { picture, alt } }) {
    const src = fileAt(this.options.site, picture);
    return ['img', mergeAttributes({ 'data-picture': picture, src, alt })];
  },
});

const extensions = (site: string) => [
  StarterKit.configure({ heading: { levels: [3, 4] }, link: { openOnClick: false } }),
  SitePicture.configure({ site }),
];

/** Plain words as paragraphs; markup as it is. */
function html(value: string): string {
  if (/<\/?[a-z][^>]*>/i.test(value)) return value;
  const escaped = value.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
  return escaped
    .split(/\n\s*\n/)
    .map((paragraph) => `<p>${paragraph.trim().replace(/\n/g, '<br>')}</p>`)
    .join('');
}

interface Props {
  readonly labelledBy: string;
  readonly label: string;
  readonly value: string;
  onChange(value: string): void;
  /** The editor was left. */
  onLeave?(): void;
}

/** An editor of long text. What it says is cleaned by the server, as is what is pasted into it. */
export function RichField({ labelledBy, label, value, onChange, onLeave }: Props) {
  const site = useBench().page.siteId;
  const latest = useRef(onChange);
  latest.current = onChange;
  const left = useRef(onLeave);
  left.current = onLeave;
  const own = useRef(value);
  const editor = useEditor({
    extensions: extensions(site),
    content: html(value),
    editorProps: {
      attributes: {
        role: 'textbox',
        'aria-multiline': 'true',
        'aria-labelledby': labelledBy,
        class: 'rich-text',
      },
    },
    onBlur: () => left.current?.(),
    onUpdate({ editor }) {
      // Without its pictures' addresses, which are those of the bench.
      const text = editor.isEmpty ? '' : editor.getHTML().replace(/ src="[^"]*"/g, '');
      own.current = text;
      latest.current(text);
    },
  });
  useEffect(() => {
    // What others did, or undo: not what comes back of what was typed here.
    if (!editor || editor.isFocused || value === own.current) return;
    own.current = value;
    editor.commands.setContent(html(value), { emitUpdate: false });
  }, [editor, value]);
  if (!editor) return null;
  return (
    <div className="rich">
      <Bar editor={editor} label={label} />
      <EditorContent editor={editor} />
    </div>
  );
}

interface Mark {
  readonly label: string;
  readonly sign: LucideIcon;
  readonly on: boolean;
  run(): void;
}

function Bar({ editor, label }: { readonly editor: Editor; readonly label: string }) {
  const { pick } = usePicker();
  const [linking, setLinking] = useState(false);
  const on = useEditorState({
    editor,
    selector: ({ editor: now }) => ({
      h3: now.isActive('heading', { level: 3 }),
      h4: now.isActive('heading', { level: 4 }),
      bold: now.isActive('bold'),
      italic: now.isActive('italic'),
      bullets: now.isActive('bulletList'),
      numbers: now.isActive('orderedList'),
      quote: now.isActive('blockquote'),
      code: now.isActive('code'),
      link: now.isActive('link'),
      href: String(now.getAttributes('link').href ?? ''),
    }),
  });
  const chain = () => editor.chain().focus();
  const marks: readonly Mark[] = [
    {
      label: 'Heading',
      sign: Heading3,
      on: on.h3,
      run: () => chain().toggleHeading({ level: 3 }).run(),
    },
    {
      label: 'Smaller heading',
      sign: Heading4,
      on: on.h4,
      run: () => chain().toggleHeading({ level: 4 }).run(),
    },
    { label: 'Strong', sign: Bold, on: on.bold, run: () => chain().toggleBold().run() },
    { label: 'Emphasis', sign: Italic, on: on.italic, run: () => chain().toggleItalic().run() },
    { label: 'List', sign: List, on: on.bullets, run: () => chain().toggleBulletList().run() },
    {
      label: 'Numbered list',
      sign: ListOrdered,
      on: on.numbers,
      run: () => chain().toggleOrderedList().run(),
    },
    { label: 'Quotation', sign: Quote, on: on.quote, run: () => chain().toggleBlockquote().run() },
    { label: 'Code', sign: Code, on: on.code, run: () => chain().toggleCode().run() },
    { label: 'Link', sign: Link, on: on.link, run: () => setLinking(!linking) },
    {
      label: 'Picture',
      sign: Image,
      on: false,
      run: () =>
        pick({
          value: '',
          label: `Picture in ${label}`,
          onPick: (picture) =>
            picture && chain().insertContent({ type: 'picture', attrs: { picture } }).run(),
        }),
    },
    {
      label: 'Plain',
      sign: RemoveFormatting,
      on: false,
      run: () => chain().clearNodes().unsetAllMarks().run(),
    },
  ];
  return (
    <div className="rich-bar" role="toolbar" aria-label={`How ${label} is set`}>
      {marks.map(({ label: name, sign: Sign, on: pressed, run }) => (
        <Tool key={name} label={name} pressed={pressed} onClick={run}>
          <Sign size={15} aria-hidden />
        </Tool>
      ))}
      {linking && (
        <input
          className="input input-xs ml-2 w-64"
          aria-label="Address of the link"
          placeholder="https://, a path, or #place"
          defaultValue={on.href}
          ref={(field) => field?.focus()}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' && event.key !== 'Escape') return;
            event.preventDefault();
            event.stopPropagation();
            const href = event.currentTarget.value.trim();
            if (event.key === 'Enter') {
              if (href) chain().extendMarkRange('link').setLink({ href }).run();
              else chain().extendMarkRange('link').unsetLink().run();
            }
            setLinking(false);
          }}
        />
      )}
    </div>
  );
}
