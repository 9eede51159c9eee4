import { SCALE_LINE, type Caution, type ReadRefusal, type Refusal } from '../../core/picture';

/** Numbers as they are told of a picture. */
const told = (value: number, digits = 1): string => value.toFixed(digits);

/** Why a picture, or what was asked of it, cannot be measured, and what to do. */
export function pictureRefusal(refusal: Refusal | ReadRefusal): string {
  switch (refusal.code) {
    case 'no-card':
      return 'No card is seen in the picture. Lay the printed card beside the part, with all its squares in view.';
    case 'two-cards':
      return 'More than one card is seen, or one square twice. Leave only one in view.';
    case 'too-few-squares':
      return `Only ${refusal.found} of the card’s squares can be read. At least three at its corners must be in view, whole and without glare.`;
    case 'bent':
      return `The card does not lie flat: its squares do not fit one plane (up to ${told(refusal.arch)} mm in its middle). Tape it down flat, and take the picture again.`;
    case 'steep':
      return `The picture was taken at a slant of ${told(refusal.tilt, 0)}°. Hold the camera more upright over the card, within 45°.`;
    case 'blurred':
      return `The picture is blurred: edges spread over ${told(refusal.blur)} pixels. Hold still, get more light, and let the camera focus on the card.`;
    case 'print-scale':
      return `A line of ${SCALE_LINE} mm cannot measure ${told(refusal.line)} mm on a card that is usable. Print it at 100 %, without fitting it to the page, and measure the line again.`;
    case 'too-near':
      return 'The two taps are less than 10 mm apart. Tap near the first rivet and near the last of the run.';
    case 'no-rivets':
      return 'No row of rivets is seen between the two taps. Tap on the rivets themselves.';
    case 'no-run':
      return 'No straight run of rivets is seen on the card. Pull the chain taut, or tap near its first rivet and its last.';
    case 'few-rivets':
      return `A pitch needs at least three rivets; there ${refusal.rivets === 1 ? 'is' : 'are'} ${refusal.rivets}.`;
    case 'not-taut':
      return `The run is not straight: a rivet lies ${told(refusal.bow)} mm beside its line. Pull the chain taut.`;
    case 'not-alternating':
      return `These are no neighbouring rivets of one chain: their distances differ by ${told(refusal.left, 2)} mm from close and wide in turn. Look whether one was left out.`;
    case 'no-slot':
      return 'No slot is seen between the two taps. Tap twice in its middle line, near one end and near the other.';
    case 'uneven-slot':
      return `The edges of the slot are not seen well enough: its width differs by ${told(refusal.spread, 2)} mm along it. Take away the glare, or measure it with a caliper.`;
    case 'few-taps':
      return `At least ${refusal.least} places in the picture are needed for this.`;
    case 'not-inside':
      return 'The part lies too far beside the card. Lay it on the card, or close to it.';
  }
}

/** What to look at before a reading by picture counts. */
export function pictureCaution(caution: Caution): string {
  switch (caution.code) {
    case 'not-seen-flat':
      return 'Whether the card lies flat cannot be seen: the squares in the middle of its sides are hidden. See that it is taped flat.';
    case 'rivets-guessed':
      return `Not seen, and only guessed by the others: rivet ${caution.at.join(', ')}. Look there before you count.`;
    case 'hole-for-the-eye':
      return `No round rim is seen at tap ${caution.tap}: measure this hole by hand.`;
    case 'slot-end-unseen':
      return 'An end of the slot is not seen: its length was not measured.';
  }
}
