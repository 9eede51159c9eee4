// A reporter of Vitest: writes down what went wrong beside any test, which its other reports do not keep.
import { writeFileSync } from 'node:fs';

export const BESIDE_TESTS = 'test-results/beside-tests.json';

export default class BesideTests {
  onTestRunEnd(_modules, errors) {
    const told = errors.map(({ name, message, stack }) => stack ?? `${name}: ${message}`);
    writeFileSync(BESIDE_TESTS, JSON.stringify(told));
  }
}
