import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from './bench';

/** Every rule of axe, best practice included, finds nothing on the page. Asked in one piece, since no view has frames: a third of the time. */
export async function axeFindsNothing(page: Page, what: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .analyze();
  expect(
    violations.map(({ id, impact, nodes }) => `${impact}, ${id}: ${nodes[0]?.html}`),
    what,
  ).toEqual([]);
}
