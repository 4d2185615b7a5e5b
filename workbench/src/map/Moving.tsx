interface Props {
  readonly kind: string;
  /** Which arrangement of the kind, where it looks other than most. */
  readonly form?: string;
}

/**
 * A kind of piece as it moves, drawn small: what a visitor would see happen. Plain blocks stand
 * still. The movements are those of `app.css`, which rest for who asks for less motion.
 */
export function Moving({ kind, form = '' }: Props) {
  return (
    <span className={`moving moving-${kind} ${form ? `mv-${form}` : ''}`} aria-hidden="true">
      {kind === 'slider' && (
        <span className="mv-strip">
          <i />
          <i />
          <i />
        </span>
      )}
      {kind === 'carousel' && (
        <span className="mv-strip">
          <i />
          <i />
          <i />
          <i />
          <i />
        </span>
      )}
      {kind === 'tabs' && (
        <>
          <span className="mv-heads">
            <i />
            <i />
            <i />
          </span>
          <span className="mv-panel" />
        </>
      )}
      {kind === 'video' && (
        <>
          <span className="mv-play" />
          <span className="mv-bar" />
        </>
      )}
      {kind === 'accordion' && (
        <>
          {form === 'many-questions' && (
            <span className="mv-chips">
              <b />
              <b />
              <b />
            </span>
          )}
          <i />
          <span className="mv-fold" />
          <i />
          <i />
        </>
      )}
      {kind === 'flip-boxes' && (
        <>
          <i />
          <i />
          <i />
        </>
      )}
      {kind === 'counters' && (
        <>
          <b />
          <b />
          <b />
        </>
      )}
    </span>
  );
}
