// Writes a photograph of a chain on its card, as a phone would take it: for the pictures in docs/screenshots/.
import { writeFileSync } from 'node:fs';
import { taken, USUAL_VIEW } from '../tests/support/photographs/taken';
import { chainPiece } from '../tests/support/photographs/things';

const chain = { x: 0, y: 4, turn: 0.08, pitch: 9.525, width: 0.483, rivets: 15, lift: 3, head: 205 };
const view = { ...USUAL_VIEW, width: 2000, height: 1500, distance: 255, tilt: 0.3, toward: -1.3, roll: -0.06 };
const [, , out = 'photograph.jpg'] = process.argv;
writeFileSync(out, await taken({ on: 'A5', things: chainPiece(chain), seed: 4, blur: 0.9, noise: 3 }, view));
