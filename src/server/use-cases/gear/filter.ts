import type { GearFilter } from '../../../data/repositories';

/** So many rows of a table come with its page. */
export const FIRST_ROWS = 40;

/** What a table of saws or customers is narrowed by, as it stands in an address. */
export const gearFilter = (params: URLSearchParams): GearFilter => ({
  text: params.get('q') ?? '',
  retired: params.get('retired') === 'yes',
});
