import type { ReactNode } from 'react';

export type LinkPictureOf =
  | 'crack'
  | 'broken'
  | 'strapBurrs'
  | 'burredTangs'
  | 'tangWear'
  | 'tightJoints'
  | 'oilDimples'
  | 'heat'
  | 'resin'
  | 'derailed';

const STRAP = 'M12 22 Q12 8 30 8 H90 Q108 8 108 22 Q108 34 94 34 H26 Q12 34 12 22 Z';
const TANG = 'M40 30 H80 L70 62 Q60 70 50 62 Z';

/** A drive link between its straps, seen from the side. */
function Link({
  tang = TANG,
  strap = STRAP,
  look = 'fill-slate-pale',
}: {
  tang?: string;
  strap?: string;
  look?: string;
}) {
  return (
    <>
      <path d={tang} className="fill-slate stroke-ink" strokeWidth="1.5" />
      <path d={strap} className={`${look} stroke-ink`} strokeWidth="1.5" />
      <circle cx="30" cy="21" r="6" className="fill-sheet stroke-ink" strokeWidth="1.5" />
      <circle cx="90" cy="21" r="6" className="fill-sheet stroke-ink" strokeWidth="1.5" />
    </>
  );
}

const BURRED_STRAP = 'M12 22 Q12 8 30 8 H90 Q108 8 108 22 L106 38 L98 33 L92 40 L84 34 H38 L30 40 L24 33 L16 38 Z';
const found = 'fill-none stroke-oxide';

const PICTURES: Readonly<Record<LinkPictureOf, ReactNode>> = {
  crack: (
    <>
      <Link />
      <path d="M90 8 L87 14 L92 19 L88 26 L93 34" className={found} strokeWidth="3" />
    </>
  ),
  broken: (
    <>
      <path d={TANG} className="fill-slate stroke-ink" strokeWidth="1.5" />
      <path
        d="M12 22 Q12 8 30 8 H58 L52 18 L60 24 L54 34 H26 Q12 34 12 22 Z"
        className="fill-slate-pale stroke-ink"
        strokeWidth="1.5"
      />
      <path
        d="M70 12 L64 22 L72 28 L66 38 H100 Q114 38 114 26 Q114 12 98 12 Z"
        className="fill-slate-pale stroke-ink"
        strokeWidth="1.5"
      />
      <path d="M58 8 L52 18 L60 24 L54 34" className={found} strokeWidth="3" />
    </>
  ),
  strapBurrs: (
    <>
      <Link strap={BURRED_STRAP} />
      <path d="M16 38 L24 33 L30 40 L38 34" className={found} strokeWidth="3" />
      <path d="M84 34 L92 40 L98 33 L106 38" className={found} strokeWidth="3" />
    </>
  ),
  burredTangs: (
    <>
      <Link tang="M40 30 H80 L74 48 L84 52 L71 60 Q60 70 50 62 L44 46 L34 44 L42 38 Z" />
      <path d="M74 48 L84 52 L71 60" className={found} strokeWidth="3" />
      <path d="M44 46 L34 44 L42 38" className={found} strokeWidth="3" />
    </>
  ),
  tangWear: (
    <>
      <path d={TANG} className="fill-none stroke-line-strong" strokeDasharray="3 3" strokeWidth="1.5" />
      <Link tang="M40 30 H80 L64 54 L60 56 L56 54 Z" />
      <path d="M46 56 H74" className={found} strokeWidth="3" />
    </>
  ),
  tightJoints: (
    <>
      <g transform="rotate(-24 90 21)">
        <Link />
      </g>
      <circle cx="90" cy="21" r="10" className={found} strokeWidth="3" />
    </>
  ),
  oilDimples: (
    <>
      <Link />
      <circle cx="54" cy="21" r="3.4" className="fill-ink" />
      <circle cx="66" cy="21" r="3.4" className={found} strokeDasharray="2 2" strokeWidth="2" />
    </>
  ),
  heat: (
    <>
      <Link look="fill-steel-pale" />
      <path d="M40 2 q6 6 0 12 M60 2 q6 6 0 12 M80 2 q6 6 0 12" className={found} strokeWidth="2.4" />
    </>
  ),
  resin: (
    <>
      <Link />
      <path
        d="M22 34 q4 12 8 0 M84 34 q6 18 12 0 M46 36 q3 10 7 0"
        className="fill-brass stroke-brass"
        strokeWidth="1.5"
      />
      <path d="M16 26 Q60 42 104 26 L100 33 H22 Z" className="fill-brass" />
    </>
  ),
  derailed: (
    <>
      <path d="M6 56 H114 V72 H6 Z" className="fill-slate" />
      <path d="M48 56 V66 H72 V56 Z" className="fill-sheet" />
      <g transform="translate(18 -8) rotate(16 60 40)">
        <Link />
      </g>
      <path d="M40 46 q-14 -6 -10 -22" className={found} strokeWidth="3" />
    </>
  ),
};

/** What a finding on the underside of a chain looks like; what is amiss is drawn in the colour of condemned. */
export function LinkPicture({ of }: { of: LinkPictureOf }) {
  return (
    <svg viewBox="0 0 120 76" width="96" height="61" aria-hidden="true" className="shrink-0">
      {PICTURES[of]}
    </svg>
  );
}
