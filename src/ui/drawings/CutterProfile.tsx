interface CutterProfileProps {
  /** How the side plate stands under the edge. */
  readonly undercut: 'right' | 'hooked' | 'blunt';
}

/** The side plate's edge from the top plate down, as each file leaves it. */
const EDGES = {
  right: 'C 92 34 88 44 84 56',
  hooked: 'C 74 30 72 46 88 56',
  blunt: 'C 92 30 80 40 66 56',
} as const;

/** A cutter seen from its side: the depth gauge in front, the top plate with its undercut edge behind. */
export function CutterProfile({ undercut }: CutterProfileProps) {
  return (
    <svg viewBox="0 0 140 76" width="112" height="61">
      <path d={`M96 18 ${EDGES[undercut]} L132 56 L132 26 Z`} className="fill-slate" />
      <path d="M18 56 L22 26 Q30 20 38 28 L42 56 Z" className="fill-slate" />
      <path d="M6 56 H136 V68 H6 Z" className="fill-slate" />
      <path d={`M96 18 ${EDGES[undercut]}`} className="fill-none stroke-oxide" strokeWidth="3" />
      <circle cx="30" cy="62" r="4" className="fill-sheet" />
      <circle cx="110" cy="62" r="4" className="fill-sheet" />
    </svg>
  );
}
