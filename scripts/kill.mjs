// Pulls the plug of a server 200 times (or as often as asked) under writes, in imports, their undoing, backups,
// migrations and restores.
import { build, installPackages, say, tool } from './lib/run.mjs';

const [rounds = '200'] = process.argv.slice(2);
installPackages();
build();
say(`Pulling the plug ${rounds} times`);
process.exit(tool('playwright', ['test', 'tests/end-to-end/kill.spec.ts'], { SERRATA_KILL_ROUNDS: rounds }));
