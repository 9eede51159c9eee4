import { Notice } from '../../../ui/parts/Notice';
import { identityFinding } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';

/** Findings that end a sale, and those that only explain what was read. */
const GRAVE = ['thin-chain', 'thick-chain', 'other-count', 'build-open'];

/** Traps that were recognised, said before anything is decided. */
export function IdentityFindings() {
  const { appraisal } = useJob();
  const { unit } = useFrame();
  const { findings } = appraisal.identity;
  if (findings.length === 0) return null;
  const grave = findings.some(({ code }) => GRAVE.includes(code));
  return (
    <div className="mb-1">
      <Notice kind={grave ? 'caution' : 'info'}>
        {findings.map((finding) => (
          <p key={finding.code}>{identityFinding(finding, unit)}</p>
        ))}
      </Notice>
    </div>
  );
}
