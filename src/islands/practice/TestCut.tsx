import { Notice } from '../../ui/parts/Notice';
import { PROOF_CAUTIONS } from '../../wording';
import { ProofFields } from '../job/prove/ProofFields';

/** A test cut with the set as it came: where it is drawn to, what it throws, whether oil comes. */
export function TestCut() {
  return (
    <>
      <Notice kind="caution">
        {PROOF_CAUTIONS.map((text) => (
          <p key={text}>{text}</p>
        ))}
      </Notice>
      <ProofFields />
    </>
  );
}
