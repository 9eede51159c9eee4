interface Row {
  readonly name: string;
  /** Of the longest of all plans, 0 to 1. */
  readonly share: number;
  /** The band of a figure that is not known exactly, on the same scale. */
  readonly band?: readonly [number, number];
  readonly said: string;
}

const percent = (share: number): string => `${(100 * Math.min(1, Math.max(0, share))).toFixed(1)}%`;

/** Figures of a plan as bars on the scale of all plans; a band shows how far off one may be. */
export function PlanBars({ rows }: { readonly rows: readonly Row[] }) {
  return (
    <dl className="my-2 grid grid-cols-[3.6rem_minmax(0,1fr)] gap-x-2 gap-y-1 text-sm">
      {rows.map(({ name, share, band, said }) => (
        <div key={name} className="contents">
          <dt className="text-ink-soft">{name}</dt>
          <dd>
            <span className="figures font-bold">{said}</span>
            <span aria-hidden="true" className="relative block h-2 bg-well">
              <span className="absolute inset-y-0 left-0 bg-slate" style={{ width: percent(share) }} />
              {band && (
                <span
                  className="absolute inset-y-0 border-x-2 border-ink bg-ink/20"
                  style={{ left: percent(band[0]), width: percent(band[1] - band[0]) }}
                />
              )}
            </span>
          </dd>
        </div>
      ))}
    </dl>
  );
}
