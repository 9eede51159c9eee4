import { flatMap } from '../flat-map';

/** Nodes and weights of Gauss and Hermite for a standard normal, nine points (Abramowitz & Stegun, table 25.10). */
const HERMITE: readonly (readonly [number, number])[] = [
  [0, 0.7202352156060511],
  [0.7235510187528376, 0.4326515590025558],
  [1.4685532892166679, 0.08847452739437657],
  [2.266580584531843, 0.004943624275536947],
  [3.190993201781528, 0.00003960697726326438],
];
/** The same for a standard normal: its nodes, and weights that add to one. */
export const STANDARD_NODES: readonly (readonly [node: number, weight: number])[] = flatMap(
  HERMITE,
  ([x, w]): (readonly [number, number])[] => {
    const scaled = w / Math.sqrt(Math.PI);
    const node = Math.SQRT2 * x;
    return x === 0
      ? [[0, scaled]]
      : [
          [node, scaled],
          [-node, scaled],
        ];
  },
);
