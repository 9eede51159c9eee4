import { useState } from 'react';
import { bodyHeight, cuttingEdge } from '../../../core/bar/checks';
import { driftCurve, noticedLean } from '../../../core/bar';
import { LogSection } from '../../../ui/drawings/LogSection';
import {
  AILMENTS,
  crookedSentence,
  driftSentence,
  CROOKED_HERE,
  CROOKED_SCHOOLS,
  wearPatternSentence,
  wearPlaceSentence,
} from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { Group } from '../parts/StepHead';
import { useJob } from '../store/JobContext';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/job-bar';

const STATE = {
  found: { word: texts.found, look: 'border-brass bg-brass-pale' },
  sound: { word: texts.sound, look: 'border-leaf bg-leaf-pale' },
  'not-measured': { word: texts.notKnown, look: 'border-steel bg-steel-pale' },
} as const;

/** Depths of cut that can be drawn, mm. */
const DEPTHS = [100, 200, 300, 400] as const;

/** Why it cuts crooked: its causes side by side, and the curve that all of them together draw over a log. */
export function WhyCrooked() {
  const { appraisal, entered, view } = useJob();
  const { unit, show } = useFrame();
  const [depth, setDepth] = useState<number>(300);
  const { bar, crooked } = appraisal;
  const { mean: pull } = crooked.pull;
  const height = bodyHeight(entered.sheet);
  const isUsual = entered.sheet.bar?.bodyHeight === undefined;
  const curve = bar.leanDrift && driftCurve(depth, noticedLean(height, Math.abs(pull)), height);
  const side = pull > 0 ? 'right' : 'left';
  const pattern = [wearPatternSentence(bar.wearPattern), wearPlaceSentence(bar.wearPlace, unit)].filter(Boolean);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_17rem] gap-5 max-lg:grid-cols-1">
      <div>
        <p className="mb-3 max-w-prose font-semibold text-pretty">{driftSentence(crooked, unit)}</p>
        <ul className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
          {appraisal.crookedFindings.map((finding) => {
            const { word, look } = STATE[finding.state];
            return (
              <li key={finding.cause} className={`border-t-4 px-3 py-2 ${look}`}>
                <p className="flex justify-between gap-2 text-sm font-semibold">
                  <span>{AILMENTS[finding.cause].name}</span>
                  <span className="font-bold">{word}</span>
                </p>
                {finding.weight > 0 && (
                  <p className="figures text-xl font-bold">{Math.round(finding.weight * 100)} %</p>
                )}
                <p className="text-sm">{crookedSentence(finding, unit)}</p>
              </li>
            );
          })}
        </ul>
        <Group title={texts.whatTheWearSays}>
          {pattern.length > 0 ? (
            pattern.map((text) => <p key={text}>{text}</p>)
          ) : (
            <p className="text-ink-soft">{texts.measureBothEdges}</p>
          )}
        </Group>
        <Group title={common.practitionersDisagree}>
          {[...CROOKED_SCHOOLS, CROOKED_HERE[view.schools.curvedCuts]].map((text) => (
            <p key={text} className="text-sm">
              {text}
            </p>
          ))}
        </Group>
      </div>
      <div className="max-lg:max-w-[19rem]">
        <div role="group" aria-label={texts.depthOfCut} className="mb-1 flex gap-1">
          {DEPTHS.map((each) => (
            <button
              key={each}
              type="button"
              aria-pressed={depth === each}
              className="quiet flex-1 px-1 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-sheet"
              onClick={() => setDepth(each)}
            >
              {show(each, unit === 'mm' ? 0 : 1)}
            </button>
          ))}
        </div>
        <LogSection
          depth={depth}
          curve={curve}
          side={side}
          measured={null}
          show={(mm) => show(mm, unit === 'mm' ? 0 : 2)}
        />
        <p className="text-sm text-ink-soft">
          {texts.estimateOfOurOwn(
            cuttingEdge(entered.sheet),
            show(height, unit === 'mm' ? 0 : 2),
            isUsual ? texts.aUsualOne : '',
          )}
        </p>
      </div>
    </div>
  );
}
