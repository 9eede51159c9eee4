// Builds the pages and the server.
import { build, installPackages } from './lib/run.mjs';

installPackages();
build();
