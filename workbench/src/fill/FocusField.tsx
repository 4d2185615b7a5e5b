import type { MouseEvent } from 'react';
import type { NodeBody } from '../api/client';
import { text } from '../bench/document';
import { pictureAt } from './PicturePicker';

interface Props {
  readonly id: string;
  readonly node: NodeBody;
  readonly value: string;
  onSet(value: string): void;
}

/** The point of a picture that stays in view: pressed on the picture, or typed. */
export function FocusField({ id, node, value, onSet }: Props) {
  const picture = text(node, 'picture');
  const [x = '50%', y = '50%'] = value.split(' ');
  const press = (event: MouseEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = (at: number, from: number, size: number) =>
      `${Math.round(Math.min(1, Math.max(0, (at - from) / size)) * 100)}%`;
    onSet(
      `${share(event.clientX, box.left, box.width)} ${share(event.clientY, box.top, box.height)}`,
    );
  };
  return (
    <div className="flex items-start gap-3">
      {picture !== '' && (
        <button
          type="button"
          className="focus-picture"
          onClick={press}
          aria-label="Set on the picture"
        >
          <img src={pictureAt(picture)} alt="" />
          <span className="focus-mark" style={{ left: x, top: y }} />
        </button>
      )}
      <input
        id={id}
        key={value}
        className="input w-32"
        defaultValue={value}
        onBlur={(event) => event.target.value !== value && onSet(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && onSet(event.currentTarget.value)}
      />
    </div>
  );
}
