/**
 * A kind of piece as it moves, drawn small: what a visitor would see happen. Plain blocks stand
 * still. The movements are those of `app.css`, which rest for who asks for less motion.
 */
export function Moving({ kind }: { readonly kind: string }) {
  return (
    <span className={`moving moving-${kind}`} aria-hidden="true">
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
      {kind === 'accordion' && (
        <>
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
