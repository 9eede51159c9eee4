/** A place in a drawing, in its own units; y runs down. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A rectangle by its upper left corner. */
export interface Box extends Spot {
  readonly width: number;
  readonly height: number;
}

const holds = ({ x, y, width, height }: Box, at: Spot): boolean =>
  at.x >= x && at.x <= x + width && at.y >= y && at.y <= y + height;

const meets = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

/** Points between the corners of a line, so that a label is kept off the line and not only off its corners. */
export function alongLine(corners: readonly (Spot | null)[], each = 8): readonly Spot[] {
  return corners.flatMap((to, i): Spot[] => {
    const from = i === 0 ? null : corners[i - 1];
    if (!to) return [];
    if (!from) return [to];
    const steps = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / each));
    return Array.from({ length: steps }, (_, k) => {
      const share = (k + 1) / steps;
      return { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) };
    });
  });
}

/**
 * Where a label covers least of what is drawn: the first of the candidates with the fewest points under it. One that
 * meets another label is taken only when all do.
 * @param candidates in the order they are liked, at least one
 */
export function freestBox(candidates: readonly Box[], points: readonly Spot[], labels: readonly Box[] = []): Box {
  const covers = (box: Box): number =>
    points.filter((at) => holds(box, at)).length + (labels.some((label) => meets(box, label)) ? points.length + 1 : 0);
  return candidates.reduce((best, next) => (covers(next) < covers(best) ? next : best));
}
