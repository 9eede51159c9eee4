import { useMemo } from 'react';
import { unpackView, type ModelsView, type ModelView, type Sent } from '../../../contract';
import { Empty } from '../../../ui/parts/Notice';
import { Pager } from '../../../ui/parts/Pager';
import { PrintBar } from '../../../ui/parts/PrintBar';
import { sprocketKindWord } from '../../../wording';
import { Frame } from '../../frame/Frame';
import { opened } from '../../frame/opened';
import type { Preferences } from '../../frame/preferences';
import { Act } from '../said/Act';
import { Said } from '../said/Said';
import * as texts from '#language/screens/gear';

const ModelForm = opened(() => import('./ModelForm').then((there) => there.ModelForm));
const ModelListForm = opened(() => import('./ModelListForm').then((there) => there.ModelListForm));

interface ModelsPageProps {
  readonly sent: Sent<ModelsView>;
  readonly preferences: Preferences;
}

/** What is usual for each model of saw, as the shop wrote it: what a call that names a model begins with. */
export function ModelsPage({ sent, preferences }: ModelsPageProps) {
  const view = useMemo(() => unpackView(sent), [sent]);
  const { models, said, total, page, pages } = view;
  return (
    <Frame shop={view.shop} preferences={preferences} place="gear">
      <PrintBar back="/gear" to={texts.gear} />
      <h1 className="text-2xl font-extrabold">{texts.sawModels}</h1>
      <p className="mb-4 max-w-prose text-ink-soft">{texts.modelsAre(total)}</p>
      <div className="no-print mb-4 flex flex-wrap gap-2">
        <Act name={texts.enterAModel}>
          <ModelForm of={null} />
        </Act>
        <Act name={texts.takeInAListOfModels}>
          <ModelListForm />
        </Act>
      </div>
      {models.length === 0 ? (
        <Empty title={texts.noModelsYet}>{texts.modelsComeSo}</Empty>
      ) : (
        <ul className="border-t border-line-strong">
          {models.map((model) => (
            <Model key={model.id} model={model} />
          ))}
        </ul>
      )}
      <Said said={said} />
      <Pager page={page} pages={pages} href={(number) => `/gear/models?page=${number}`} />
    </Frame>
  );
}

function Model({ model: { id, facts } }: { readonly model: ModelView }) {
  const { name, bar, mount, pitch, gauge, links, sprocketKind, teeth, splines, retired } = facts;
  const drive = [
    sprocketKind && sprocketKindWord[sprocketKind],
    teeth !== null && texts.teethOf(teeth),
    splines !== null && texts.splinesOf(splines),
  ].filter(Boolean);
  return (
    <li className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1.2fr)_minmax(0,0.6fr)_minmax(0,1.2fr)_auto] items-center gap-x-4 border-b border-line px-2 py-1.5 max-md:grid-cols-[minmax(0,1fr)_auto]">
      <p className={retired ? 'text-ink-soft' : ''}>
        <span className="font-semibold">{name}</span>
        {bar !== '' && <> · {bar}</>}
        {retired && <span className="block text-sm">{texts.retired}</span>}
      </p>
      <p className="figures max-md:col-start-1">
        {[pitch, gauge, links].filter(Boolean).join(' ') || texts.noNumbersTold}
      </p>
      <p className="figures max-md:col-start-1">{mount ?? ''}</p>
      <p className="text-sm max-md:col-start-1">{drive.join(', ')}</p>
      <div className="no-print max-md:col-start-2 max-md:row-start-1">
        <Act name={texts.mendModel([name, bar].filter(Boolean).join(', '))} shown={texts.mend}>
          <ModelForm of={{ modelId: id, was: facts }} />
        </Act>
      </div>
    </li>
  );
}
