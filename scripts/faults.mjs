// Holds the store, fills its disk, sets its clock back, forges its records, and sends slowly, endlessly and too much, and
// looks whether anything is lost, told wrongly, or held up.
import { build, installChromium, installPackages, say, tool } from './lib/run.mjs';

installPackages();
installChromium();
build();
say('A held store and a clock that runs backwards');
const held = tool('vitest', ['run', 'tests/server/opening.test.ts', 'tests/server/clock.test.ts']);
say('A full disk and a held store, as the screens tell it');
const told = tool('playwright', ['test', 'tests/end-to-end/store-trouble.spec.ts']);
say('Records changed with the file in hand, and archives that are not what they seem');
const forged = tool('vitest', [
  'run',
  'tests/server/chain.test.ts',
  'tests/server/records.test.ts',
  'tests/server/archive.test.ts',
]);
say('Slow, endless and too much, at the door');
const waited = tool('vitest', ['run', 'src/server/http', 'src/data/patience.test.ts']);
const door = tool('playwright', ['test', 'tests/end-to-end/door.spec.ts', 'tests/end-to-end/records.spec.ts']);
process.exit(held || told || forged || waited || door);
