import type { PictureView } from '../../contract';
import { FAMILY_IDS } from '../../core/families';
import { pitchLikelihood } from '../../core/identify';
import type { PictureDocument } from '../../core/report';
import { familyLabel } from '../../wording';
import * as texts from '#language/screens/picture';

type Reading = PictureDocument['readings'][number];

/** A family that is less likely than this share of the likeliest is not named. */
const LEAST_LIKELY = 0.05;

/** The families that a pitch speaks for. */
function familiesOf({ value, u }: Reading): string {
  const likely = FAMILY_IDS.map((family) => ({ family, weight: pitchLikelihood(value, u, family) }));
  const most = Math.max(...likely.map(({ weight }) => weight));
  if (!(most > 0)) return texts.speaksForNone;
  return texts.speaksFor(
    likely.filter(({ weight }) => weight >= LEAST_LIKELY * most).map(({ family }) => familyLabel(family)),
  );
}

function shown(reading: Reading): PictureView['readings'][number] {
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
function spanOf(readings: readonly Reading[]): PictureView['span'] {
  const pitch = readings.find(({ what }) => what === 'chain.pitch');
  const count = readings.find(({ what }) => what === 'chain.rivets')?.value ?? 0;
  const rivets = count - ((count + 1) % 2);
  return pitch && rivets >= 3 ? { rivets, length: (pitch.value * (rivets - 1)).toFixed(2) } : null;
}

/** What a photograph told, as its page shows it. */
export function pictureView({ card, readings, marks, cautions, refused }: PictureDocument): PictureView {
  return {
    ...{ refused, marks, cautions },
    seen: card && texts.cardSeen(card.squares.length, card.tilt.toFixed(0), card.height.toFixed(0)),
    readings: readings.map(shown),
    span: spanOf(readings),
  };
}
