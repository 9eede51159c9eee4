import { Audit } from '../people/Audit';

/** Who did what. */
export default function AuditOfShop() {
  return <Audit />;
}
