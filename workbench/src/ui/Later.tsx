import { Component, type ComponentType, lazy, type ReactNode, Suspense } from 'react';

const asked: (() => Promise<unknown>)[] = [];

/** A part of the bench that comes in a file of its own, when it is first shown or nothing else is to do. */
export function later<P extends object>(load: () => Promise<ComponentType<P>>): ComponentType<P> {
  const Part = lazy(async () => ({ default: await load() }));
  asked.push(load);
  return (props: P) => (
    <Missing>
      <Suspense fallback={<p className="sr-only">Loading…</p>}>
        <Part {...props} />
      </Suspense>
    </Missing>
  );
}

/** Brings all of them while the browser has nothing else to do, so that a step is there at once. */
export function bringAll() {
  const next = () => {
    const load = asked.shift();
    if (load) load().then(soon, () => {});
  };
  const soon = () =>
    'requestIdleCallback' in window
      ? window.requestIdleCallback(next, { timeout: 2000 })
      : setTimeout(next, 200);
  soon();
}

/** What stands where a part could not be had: the application was renewed, or the net is gone. */
class Missing extends Component<{ readonly children: ReactNode }, { readonly gone: boolean }> {
  override state = { gone: false };

  static getDerivedStateFromError() {
    return { gone: true };
  }

  override render() {
    if (!this.state.gone) return this.props.children;
    return (
      <p className="flex flex-wrap items-center gap-3 p-4" role="alert">
        This part of the bench could not be shown. What you have set is kept.
        <button type="button" className="btn btn-sm" onClick={() => location.reload()}>
          Load again
        </button>
      </p>
    );
  }
}
