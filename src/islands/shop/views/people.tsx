import { People } from '../people/People';

/** Who may come in, and with what. */
export default function PeopleOfShop() {
  return <People />;
}
