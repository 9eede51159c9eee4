// Holds the store, fills its disk and sets its clock back, and looks whether anything is lost or told wrongly.
import { build, installChromium, installPackages, say, tool } from './lib/run.mjs';

installPackages();
installChromium();
build();
say('A held store and a clock that runs backwards');
const held = tool('vitest', ['run', 'tests/server/opening.test.ts', 'tests/server/clock.test.ts']);
say('A full disk and a held store, as the screens tell it');
const told = tool('playwright', ['test', 'tests/end-to-end/store-trouble.spec.ts']);
process.exit(held || told);
