import { useMemo } from 'react';
import { unpackView, type ModelsView, type ModelView, type Sent } from '../../../contract';
import { Empty } from '../../../ui/parts/Notice';
import { PrintBar } from '../../../ui/parts/PrintBar';
import { sprocketKindWord } from '../../../wording';
import { Frame } from '../../frame/Frame';
import { opened } from '../../frame/opened';
import type { Preferences } from '../../frame/preferences';
import { ServerData } from '../../frame/server-data';
import type { Column } from '../../frame/table/column';
import { LongTable } from '../../frame/table/LongTable';
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
  const { models, said, total } = view;
  return (
    <ServerData>
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
          <LongTable
            name={texts.sawModels}
            id="models"
            columns={COLUMNS}
            keyOf={keyOf}
            rowHeight={3.25}
            first={models}
            total={total}
            note={texts.countOfModels(total)}
            address="/api/gear/models/rows"
          />
        )}
        <Said said={said} />
      </Frame>
    </ServerData>
  );
}

const isOffered = (row: ModelView): string => (row.facts.retired ? texts.retired : texts.inUse);

const driveOf = ({ facts: { sprocketKind, teeth, splines } }: ModelView): string =>
  [
    sprocketKind && sprocketKindWord[sprocketKind],
    teeth !== null && texts.teethOf(teeth),
    splines !== null && texts.splinesOf(splines),
  ]
    .filter(Boolean)
    .join(', ');

/** A count as it is punched, as a number. */
const linksOf = ({ facts: { links } }: ModelView): number | null => (links === '' ? null : parseInt(links, 10));

const COLUMNS: readonly Column<ModelView>[] = [
  {
    id: 'model',
    head: texts.modelHeading,
    isName: true,
    value: ({ facts: { name, bar } }) => `${name} ${bar}`,
    cell: ({ facts: { name, bar, retired } }) => (
      <span className={retired ? 'text-ink-soft' : ''}>
        <span className="font-semibold">{name}</span>
        {bar !== '' && <> · {bar}</>}
        {retired && <span className="block text-sm">{texts.retired}</span>}
      </span>
    ),
  },
  {
    id: 'pitch',
    head: texts.pitchHeading,
    width: 7,
    className: 'figures',
    value: ({ facts: { pitch } }) => pitch,
    cell: ({ facts: { pitch } }) => pitch,
  },
  {
    id: 'gauge',
    head: texts.gaugeHeading,
    width: 7,
    className: 'figures',
    value: ({ facts: { gauge } }) => gauge,
    cell: ({ facts: { gauge } }) => gauge,
  },
  {
    id: 'links',
    head: texts.linksHeading,
    width: 6,
    className: 'figures',
    value: linksOf,
    cell: ({ facts: { links } }) => links,
  },
  {
    id: 'mount',
    head: texts.mountHeading,
    width: 6,
    className: 'figures',
    value: ({ facts: { mount } }) => mount,
    cell: ({ facts: { mount } }) => mount,
  },
  { id: 'drive', head: texts.sprocket, width: 18, className: 'text-sm', value: driveOf, cell: driveOf },
  { id: 'stands', head: texts.standsHeading, width: 8, isExtra: true, value: isOffered, cell: isOffered },
  {
    id: 'mend',
    head: texts.mend,
    width: 6,
    cell: ({ id, facts }) => (
      <Act name={texts.mendModel([facts.name, facts.bar].filter(Boolean).join(', '))} shown={texts.mend}>
        <ModelForm of={{ modelId: id, was: facts }} />
      </Act>
    ),
  },
];

const keyOf = ({ id }: ModelView): string => id;
