import type { PictureView } from '../../contract';
import { FAMILY_IDS } from '../../core/families';
import { pitchLikelihood } from '../../core/identify';
import type { PictureReading } from '../../core/picture';
import { familyLabel, pictureCaution, pictureRefusal, type MeasuredPicture } from '../../wording';
import * as texts from '#language/screens/picture';

/** A family that is less likely than this share of the likeliest is not named. */
const LEAST_LIKELY = 0.05;
/** What is not seen in a picture: families of one pitch are the same to it. */
function familiesOf({ value, u }: PictureReading): string {
  const likely = FAMILY_IDS.map((family) => ({ family, weight: pitchLikelihood(value, u, family) }));
  const most = Math.max(...likely.map(({ weight }) => weight));
  if (!(most > 0)) return texts.speaksForNone;
  return texts.speaksFor(
    likely.filter(({ weight }) => weight >= LEAST_LIKELY * most).map(({ family }) => familyLabel(family)),
  );
}

function shown(reading: PictureReading): PictureView['readings'][number] {
  const { what, value, u, unit } = reading;
  const name = texts.names[what];
  if (unit === 'rivets') return { name, value: String(value), doubt: '', says: texts.countByEye };
  const digits = what === 'chain.pitch' ? 3 : 2;
  return {
    ...{ name, value: `${value.toFixed(digits)} mm`, doubt: texts.doubtOf((2 * u).toFixed(digits)) },
    says: what === 'chain.pitch' ? familiesOf(reading) : null,
  };
}

/** The span over a run as it is typed: rivets alternate, so that only an odd number spans whole pitches. */
function spanOf(readings: readonly PictureReading[]): PictureView['span'] {
  const pitch = readings.find(({ what }) => what === 'chain.pitch');
  const count = readings.find(({ what }) => what === 'chain.rivets')?.value ?? 0;
  const rivets = count - ((count + 1) % 2);
  return pitch && rivets >= 3 ? { rivets, length: (pitch.value * (rivets - 1)).toFixed(2) } : null;
}

/** What a photograph told, in words. */
export function pictureView({ plane, read, shrunkBy }: MeasuredPicture): PictureView {
  const refusal = plane.ok ? (read && !read.ok ? read.error : null) : plane.error;
  const told = read?.ok ? read.value : null;
  return {
    refused: refusal && pictureRefusal(refusal),
    seen: plane.ok
      ? texts.cardSeen(plane.value.squares.length, plane.value.tilt.toFixed(0), plane.value.height.toFixed(0))
      : null,
    readings: told ? told.readings.map(shown) : [],
    span: told && spanOf(told.readings),
    marks: told ? told.marks.map(({ x, y }) => ({ x: x * shrunkBy, y: y * shrunkBy })) : [],
    cautions: told ? told.cautions.map(pictureCaution) : [],
  };
}
