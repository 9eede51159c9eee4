import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from './bench';

/**
 * Every rule of axe, best practice included, or only some, finds nothing on the page. Asked in one piece, since no view
 * has frames: a third of the time.
 */
export async function axeFindsNothing(page: Page, what: string, rules?: readonly string[]): Promise<void> {
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
  const { violations } = await (rules ? axe.withRules([...rules]) : axe).analyze();
  expect(
    violations.map(({ id, impact, nodes }) => `${impact}, ${id}: ${nodes[0]?.html}`),
    what,
  ).toEqual([]);
}
