import { waysToSave } from '../../../core/plan';
import type { PlansView, PlanView } from '../../../contract';
import { money, partName } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import { whereFrom } from './where-from';
import * as texts from '#language/screens/job-decide';

interface TwoWaysProps {
  readonly view: PlansView;
  readonly chosen: PlanView | null;
  readonly onChoose: (plan: PlanView) => void;
}

/** A bar whose nose is gone: a new nose beside a new bar, with what each costs, waits for and then lasts. */
export function TwoWays({ view, chosen, onChoose }: TwoWaysProps) {
  const { appraisal } = useJob();
  const { shop } = useFrame();
  const ways = appraisal.verdicts.nose.action === 'replace' ? waysToSave(view.plans, chosen) : null;
  if (!ways) return null;
  const rows = [
    { name: texts.newNose, plan: ways.nose, part: 'nose' },
    { name: texts.newBar, plan: ways.bar, part: 'bar' },
  ] as const;
  return (
    <section aria-label={texts.bothWays} className="mt-2 mb-4 overflow-x-auto">
      <h4 className="font-bold">{texts.bothWays}</h4>
      <p className="text-sm text-ink-soft">{texts.allElseAlike}</p>
      <table className="mt-1 w-full border-collapse text-sm">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            {[texts.way, texts.paidToday, texts.part, texts.barThenLasts, texts.noseThenLasts, ''].map((heading) => (
              <th key={heading} scope="col" className="py-1 pr-3">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, plan, part }) => {
            const fitted = plan.parts.find((each) => each.part === part);
            const isChosen = plan.key === chosen?.key;
            return (
              <tr key={part} className="border-b border-line">
                <th scope="row" className="py-1 pr-3 text-left font-semibold">
                  {name}
                </th>
                <td className="py-1 pr-3 figures">{money(plan.costToday, shop)}</td>
                <td className="py-1 pr-3">
                  {fitted && (
                    <>
                      <span className="figures">{fitted.sku}</span>, {whereFrom(fitted)}
                    </>
                  )}
                </td>
                <td className="py-1 pr-3 figures">{texts.hours(plan.hoursLeft.bar ?? 0)}</td>
                <td className="py-1 pr-3 figures">{texts.hours(plan.hoursLeft.nose ?? 0)}</td>
                <td className="py-1">
                  <button
                    type="button"
                    className="quiet min-h-11 px-3 aria-pressed:bg-pine aria-pressed:text-sheet"
                    aria-label={`${partName.bar}: ${name}`}
                    aria-pressed={isChosen}
                    onClick={() => onChoose(plan)}
                  >
                    {isChosen ? texts.chosen : texts.chooseThis}
                  </button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
