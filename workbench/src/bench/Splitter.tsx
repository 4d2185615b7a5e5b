import type { KeyboardEvent, PointerEvent } from 'react';

interface Props {
  readonly share: number;
  /** Share of the whole height that lies above, 0 to 1. */
  onShare(share: number): void;
}

const clamp = (share: number) => Math.min(0.85, Math.max(0.12, share));

/** Divides the height between the stage and the work under it. */
export function Splitter({ share, onShare }: Props) {
  function drag(event: PointerEvent<HTMLDivElement>) {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const box = event.currentTarget.parentElement?.getBoundingClientRect();
    if (box) onShare(clamp((event.clientY - box.top) / box.height));
  }
  function key(event: KeyboardEvent) {
    const by = { ArrowUp: -0.04, ArrowDown: 0.04 }[event.key];
    if (!by) return;
    event.preventDefault();
    onShare(clamp(share + by));
  }
  return (
    <div
      role="separator"
      tabIndex={0}
      aria-label="Height of the stage"
      aria-orientation="horizontal"
      aria-valuenow={Math.round(share * 100)}
      aria-valuemin={12}
      aria-valuemax={85}
      className="splitter"
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={drag}
      onKeyDown={key}
    />
  );
}
