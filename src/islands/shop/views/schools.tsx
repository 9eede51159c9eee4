import { Changed, changedAt } from '../Changed';
import { SchoolChoices } from '../SchoolChoices';
import type { ShopViewProps } from '.';

/** Which school the shop follows where the trade is of two minds. */
export default function SchoolsView({ view: { schools, written } }: ShopViewProps) {
  return (
    <>
      <SchoolChoices schools={schools} />
      <Changed lines={changedAt(written, 'school')} />
    </>
  );
}
