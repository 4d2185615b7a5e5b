import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import { api, ask, type Calendar, type NodeBody } from '../api/client';
import { bandAt, columnsOf, useBench } from '../bench/context';
import { usePageQuery } from '../bench/usePageQuery';
import { useSize } from '../bench/useSize';
import { SeasonFile } from './SeasonFile';

const NAMES = 130;
const MONTHS = 12;
const DAY = 86_400_000;

/** The first moment of this month, less so many; ms. */
function monthStart(offset: number): number {
  const now = new Date();
  return Date.UTC(now.getUTCFullYear(), now.getUTCMonth() + offset, 1);
}

/** Who is on show over a year: seasons, times with nobody, times with few; a press looks at a day. */
export function Year({ piece }: { readonly piece: NodeBody }) {
  const { page, width } = useBench();
  const [offset, setOffset] = useState(0);
  const from = monthStart(offset);
  const band = bandAt(columnsOf(page), width);
  const calendar = usePageQuery({
    key: ['calendar', piece.id, band?.id, from],
    read: () =>
      ask(
        api.GET('/api/pages/{id}/calendar', {
          params: {
            path: { id: page.id },
            query: { piece: piece.id, width, from, months: MONTHS },
          },
        }),
      ),
  });
  const data: Calendar | undefined = calendar.data?.piece === piece.id ? calendar.data : undefined;
  if (calendar.isError && !data) return <p className="p-4 text-error">{calendar.error.message}</p>;
  if (!data) return <p className="faint p-4">Laying out the year…</p>;
  return <Months piece={piece} data={data} offset={offset} onOffset={setOffset} />;
}

interface Props {
  readonly piece: NodeBody;
  readonly data: Calendar;
  /** Months from this one to the first. */
  readonly offset: number;
  onOffset(offset: number): void;
}

function Months({ piece, data, offset, onOffset }: Props) {
  const { on, setOn, choose, chosen } = useBench();
  const [box, room] = useSize<HTMLDivElement>();
  const x = scaleLinear()
    .domain([data.from, data.until])
    .range([NAMES, Math.max(NAMES + 10, room.width - 12)])
    .clamp(true);
  const now = on ?? Date.now();
  const day = new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: data.zone,
  });
  const hour = new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    timeZone: data.zone,
  });
  // After the day that the stage shows, if that is in sight.
  const next =
    data.stretches.find((each) => each.from > Math.max(now, data.from))?.from ??
    ((data.next ?? 0) > now ? data.next : undefined);
  const months = Array.from({ length: MONTHS }, (_, i) => monthStart(offset + i));
  const look = (clientX: number) => {
    const left = box.current?.getBoundingClientRect().left ?? 0;
    setOn(Math.round(x.invert(clientX - left)));
  };
  const nobody = data.stretches.filter((each) => each.on.length === 0);
  return (
    <section aria-label="Year" className="tape-of-time">
      <div className="tape-top">
        <button type="button" className="tape-chip" onClick={() => onOffset(offset - 6)}>
          half a year back
        </button>
        <button type="button" className="tape-chip" onClick={() => onOffset(offset + 6)}>
          half a year on
        </button>
        <output>
          {data.items.every((each) => each.always)
            ? 'All are on show all year. An item gets a season under “This item”.'
            : next == null
              ? 'Nothing changes after that.'
              : `The next change is on ${data.items.some((each) => each.again) ? hour.format(next) : day.format(next)}.`}
        </output>
        {nobody.length > 0 && (
          <span className="text-error">
            Nobody is on show from {day.format(nobody[0]?.from)} to {day.format(nobody[0]?.until)}.
          </span>
        )}
        <span className="faint">{data.zone}</span>
        <SeasonFile piece={piece} some={data.items.some((each) => !each.always)} />
      </div>
      <div ref={box} className="tape-rows year-rows" role="group" aria-label="Seasons">
        <div
          className="tape-scale"
          role="slider"
          tabIndex={0}
          aria-label="The day that the stage shows"
          aria-valuemin={data.from}
          aria-valuemax={data.until}
          aria-valuenow={now}
          aria-valuetext={day.format(now)}
          onPointerDown={(event) => look(event.clientX)}
          onPointerMove={(event) => event.buttons === 1 && look(event.clientX)}
          onKeyDown={(event) => {
            const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -30, PageDown: 30 }[event.key];
            if (by === undefined) return;
            event.preventDefault();
            setOn(now + by * DAY);
          }}
        >
          <span className="tape-name">{day.format(now)}</span>
          {months.map((each) => (
            <span key={each} className="tape-tick" style={{ left: x(each) }}>
              {new Date(each).toLocaleString('en-GB', { month: 'short', timeZone: 'UTC' })}
            </span>
          ))}
        </div>
        {data.stretches
          .filter((each) => each.on.length === 0 || each.thin)
          .map((each) => (
            <span
              key={each.from}
              className={each.on.length === 0 ? 'year-nobody' : 'year-thin'}
              style={{ left: x(each.from), width: Math.max(2, x(each.until) - x(each.from)) }}
              title={each.on.length === 0 ? 'Nobody is on show' : 'So few that nothing moves'}
            />
          ))}
        {data.items.map((each) => (
          <div key={each.item} className="tape-row year-row">
            <button
              type="button"
              className="year-name"
              aria-pressed={chosen.node.id === each.item}
              onClick={() => choose(each.item)}
            >
              {each.name}
            </button>
            {each.spans.map(([start = 0, end = 0]) => (
              <span
                key={start}
                className={`tape-box ${each.always ? 'year-always' : end - start < 3 * DAY ? 'year-again' : 'tape-set'}`}
                style={{
                  left: x(start),
                  width: Math.max(each.again ? 1 : 3, x(end) - x(start)),
                }}
                title={`${each.name}: ${
                  each.again
                    ? `${hour.format(start)} to ${hour.format(end)}`
                    : `${day.format(start)} to ${day.format(end - 1)}`
                }`}
              >
                {each.always ? 'always' : each.yearly && !each.again ? 'each year' : ''}
              </span>
            ))}
          </div>
        ))}
        {now >= data.from && now <= data.until && (
          <span className="tape-head" style={{ left: x(now) }} aria-hidden="true" />
        )}
      </div>
    </section>
  );
}
