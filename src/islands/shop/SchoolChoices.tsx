import { useState } from 'react';
import { SCHOOL_IDS, SCHOOLS, type SchoolId, type Schools } from '../../core/schools';
import { Choice } from '../../ui/parts/Choice';
import { Notice } from '../../ui/parts/Notice';
import { schoolAnswer, schoolName, schoolSays, UNNAMED } from '../../wording';
import { api, failure } from '../frame/api';
import { useFrame } from '../frame/frame-context';
import { useChangedHere } from '../frame/server-data';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/shop';

/** Where practitioners disagree the shop chooses; both schools stay named. */
export function SchoolChoices({ schools }: { schools: Schools }) {
  const { who } = useFrame();
  const changedHere = useChangedHere();
  const [refused, setRefused] = useState<string | null>(null);
  const choose = async (school: SchoolId, answer: string) => {
    try {
      const given = { by: who || UNNAMED, school, answer, was: schools[school] };
      await api.put('/api/schools', given).finally(changedHere);
      setRefused(null);
    } catch (error) {
      setRefused(failure(error, common.notStored));
    }
  };
  return (
    <div className="grid gap-5">
      <p className="max-w-prose text-ink-soft">{texts.practitionersDisagreeOnThese}</p>
      {SCHOOL_IDS.map((id) => {
        const answers = schoolAnswer[id] as Readonly<Record<string, string>>;
        return (
          <Choice
            key={id}
            legend={schoolName[id]}
            options={SCHOOLS[id].map((value) => ({ value, label: answers[value] ?? value }))}
            value={schools[id]}
            onChoose={(answer) => answer !== '' && void choose(id, answer)}
            hint={`${schoolSays[id].says} ${schoolSays[id].changes}`}
          />
        );
      })}
      {refused && <Notice kind="error">{refused}</Notice>}
    </div>
  );
}
