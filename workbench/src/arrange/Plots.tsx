import type { NodeBody, Sheet } from '../api/client';
import { isPiece, useBench } from '../bench/context';
import { tape } from '../bench/scale';
import { useKept } from '../bench/useKept';
import { HeightPlot } from './HeightPlot';
import { SnagNote } from './PlotFrame';
import { Sawtooth } from './Sawtooth';

const PLOTS = ['widths', 'heights'] as const;

/** The plots of a piece over its sheet: how wide its items are, or how high; nothing for the rest. */
export function Plots({
  sheet,
  node,
  length,
}: {
  readonly sheet: Sheet;
  readonly node: NodeBody;
  readonly length: number;
}) {
  const { catalogue } = useBench();
  const [kept, keep] = useKept('plot', 0);
  if (!isPiece(catalogue, node.type)) {
    return sheet.snags.length === 0 ? null : (
      <div className="tooth tooth-bare">
        <SnagNote snags={sheet.snags} x={tape(length)} length={length} />
      </div>
    );
  }
  const shown = sheet.plot && kept === 0 ? 'widths' : 'heights';
  const choice = sheet.plot ? (
    <span className="tooth-choice" role="group" aria-label="Plot">
      {PLOTS.map((each, at) => (
        <button key={each} type="button" aria-pressed={shown === each} onClick={() => keep(at)}>
          {each}
        </button>
      ))}
    </span>
  ) : null;
  return sheet.plot && shown === 'widths' ? (
    <Sawtooth plot={sheet.plot} snags={sheet.snags} length={length} choice={choice} />
  ) : (
    <HeightPlot node={node} snags={sheet.snags} length={length} choice={choice} />
  );
}
