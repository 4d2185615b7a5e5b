import type { NodeBody } from '../api/client';
import { useBench } from '../bench/context';
import { text } from '../bench/document';
import { FocusPoint } from '../media/FocusPoint';
import { fileAt } from '../media/format';

interface Props {
  readonly id: string;
  readonly node: NodeBody;
  readonly value: string;
  onSet(value: string): void;
}

/** The focal point where a picture is used: pressed on the picture, or typed. */
export function FocusField({ id, node, value, onSet }: Props) {
  const site = useBench().page.siteId;
  const picture = text(node, 'picture');
  return (
    <div className="flex items-start gap-3">
      {picture !== '' && (
        <FocusPoint src={fileAt(site, picture)} value={value} label="Focal point" onSet={onSet} />
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
