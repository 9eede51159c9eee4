import type { ReactNode } from 'react';
import { LinkPicture } from '../../../ui/drawings/LinkPicture';
import { UNDERSIDE_FINDINGS, undersideTells, type UndersideFinding } from '../../../wording';
import { Field } from '../parts/Field';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job-chain';

const CONTROLS: Readonly<Record<UndersideFinding, ReactNode>> = {
  crack: <Field path="chain.checks.crack" />,
  broken: <Field path="chain.checks.broken" />,
  strapBurrs: <Field path="chain.checks.strapBurrs" />,
  burredTangs: (
    <div className="grid grid-cols-2 gap-3">
      <Field path="chain.checks.burredTangs" />
      <Field path="chain.checks.tangBurr" />
    </div>
  ),
  tangWear: <Field path="chain.checks.tangWear" />,
  tightJoints: <Field path="chain.checks.tightJoints" />,
  oilDimples: <Field path="chain.checks.oilDimples" />,
  heat: <Field path="chain.checks.heat" />,
  resin: <Field path="chain.checks.resin" />,
  derailed: <Field path="chain.checks.derailed" />,
};

/** Underside of the chain, link by link: what each finding looks like, what it comes of, what it does, what to do. */
export function Underside() {
  const { entered } = useJob();
  const derailed = entered.sheet.chain?.checks?.derailed === 'yes';
  return (
    <>
      <p className="mb-1 text-sm text-ink-soft">{texts.turnTheChainOver}</p>
      <ul className="grid grid-cols-2 gap-x-6 max-lg:grid-cols-1">
        {UNDERSIDE_FINDINGS.map((finding) => {
          const { cause, effect, act } = undersideTells[finding];
          return (
            <li key={finding} className="flex items-start gap-3 border-t border-line py-2">
              <LinkPicture of={finding} />
              <div className="min-w-0 flex-1">
                {CONTROLS[finding]}
                <p className="mt-1 text-sm text-ink-soft">
                  {cause} {effect} <span className="font-semibold text-ink">{act}</span>
                </p>
              </div>
            </li>
          );
        })}
      </ul>
      {derailed && <AfterDerailing />}
    </>
  );
}

/** What a chain that came off may have hurt. */
function AfterDerailing() {
  return (
    <section aria-label={texts.whatItMayHaveHurt} className="mt-2 border-t-2 border-brass bg-brass-pale px-3 py-2">
      <h3 className="font-bold">{texts.itCameOffLook}</h3>
      <div className="grid grid-cols-3 gap-4 max-lg:grid-cols-1">
        <Field path="bar.checks.grooveShape" />
        <Field path="saw.checks.chainCatcher" />
        <Field path="saw.checks.rearGuard" />
      </div>
    </section>
  );
}
