import { isRenewed } from '../../../core/course';
import { SPROCKET_OPERATIONS } from '../../../core/declared';
import { Empty, Notice } from '../../../ui/parts/Notice';
import { operationWord, REPLACE_CAUTIONS, sentence } from '../../../wording';
import { Guided } from '../parts/Guided';
import { useJob } from '../store/JobContext';
import { FitNew } from './FitNew';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/job-rework';

/** Work on the drive sprocket: what it calls for, or how another one goes on. */
export function ReworkSprocket() {
  const { appraisal, entered, stories } = useJob();
  const story = stories.find(({ part }) => part === 'driveSprocket');
  const verdict = appraisal.verdicts.driveSprocket;
  const done = entered.sheet.driveSprocket?.reworkDone ?? [];
  const operations = SPROCKET_OPERATIONS.filter((each) => verdict.operations.includes(each) || done.includes(each));
  const isNew = story !== undefined && isRenewed(story);
  const replaced = isNew || verdict.action === 'replace';
  if (!replaced && operations.length === 0)
    return <Empty title={texts.nothingToDo}>{texts.sprocketCallsForNoWork}</Empty>;
  return (
    <>
      <Notice kind="caution">
        {REPLACE_CAUTIONS.map((text) => (
          <p key={text}>{text}</p>
        ))}
      </Notice>
      <FitNew story={story} />
      {operations.length > 0 && !isNew && (
        <Guided
          path="driveSprocket.reworkDone"
          title={texts.inThisOrder}
          acts={operations.map((value) => ({ value, label: sentence(operationWord[value]) }))}
        />
      )}
      {replaced && <Guided path="driveSprocket.replaceDone" title={common.replaceTheSprocket} />}
    </>
  );
}
