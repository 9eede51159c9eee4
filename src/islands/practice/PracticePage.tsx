import { useState, type ReactNode } from 'react';
import { BookOpen } from 'lucide-react';
import { unpackView, type BeginRound, type PracticeView, type RoundView, type Sent } from '../../contract';
import { LEVELS, PAPERS, THEME_IDS, type Level, type Theme } from '../../core/practice';
import { Notice } from '../../ui/parts/Notice';
import { levelName, paperName, themeName, UNNAMED } from '../../wording';
import { api, failure } from '../frame/api';
import { Frame } from '../frame/Frame';
import { useFrame } from '../frame/frame-context';
import type { Preferences } from '../frame/preferences';
import { Pick } from './fields';
import { Progress } from './Progress';
import * as texts from '#language/screens/practice';

interface PracticePageProps {
  readonly sent: Sent<PracticeView>;
  readonly preferences: Preferences;
}

/** The place of practice: a round to begin, and how one does. */
export function PracticePage({ sent, preferences }: PracticePageProps) {
  const [view] = useState(() => unpackView(sent));
  return (
    <Frame shop={view.shop} preferences={preferences} place="practice">
      <div className="mx-auto grid max-w-6xl gap-5">
        <header className="graduated pt-5">
          <h1 className="text-2xl font-extrabold">{texts.practice}</h1>
          <p className="max-w-prose">{texts.says}</p>
        </header>
        {!view.isOther && <Beginnings isNew={view.progress.lines.length === 0} />}
        <Progress view={view} />
      </div>
    </Frame>
  );
}

const LEVEL_IDS = Object.keys(LEVELS) as readonly Level[];

/** Begins a round and goes to it. */
function useBegin() {
  const by = useFrame().who || UNNAMED;
  const [trouble, setTrouble] = useState<string | null>(null);
  const begin = async (round: BeginRound['round']) => {
    try {
      const { id } = await api.post<RoundView>('/api/practice/rounds', { by, round });
      window.location.assign(`/practice/rounds/${id}`);
    } catch (error) {
      setTrouble(failure(error, texts.notBegun));
    }
  };
  return { trouble, begin: (round: BeginRound['round']) => void begin(round) };
}

function Beginnings({ isNew }: { readonly isNew: boolean }) {
  const { trouble, begin } = useBegin();
  const [level, setLevel] = useState<Level>('usual');
  const [theme, setTheme] = useState<Theme>('any');
  return (
    <div className="grid gap-3">
      {trouble !== null && <Notice kind="error">{trouble}</Notice>}
      {isNew && (
        <div className="flex flex-wrap items-center gap-3 border-2 border-ink bg-sheet px-4 py-3">
          <div className="min-w-0 flex-1">
            <h2 className="text-lg font-extrabold">{texts.firstRound}</h2>
            <p>{texts.firstRoundSays}</p>
          </div>
          <button type="button" className="act" onClick={() => begin({ kind: 'first' })}>
            {texts.beginTheFirst}
          </button>
        </div>
      )}
      <div className="grid grid-cols-3 gap-4 max-lg:grid-cols-1">
        <Box title={texts.beginARound}>
          <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
            <Pick
              label={texts.level}
              value={level}
              options={LEVEL_IDS.map((id) => ({ id, name: levelName[id] }))}
              onPick={setLevel}
            />
            <Pick
              label={texts.theme}
              value={theme}
              options={THEME_IDS.map((id) => ({ id, name: themeName[id] }))}
              onPick={setTheme}
            />
          </div>
          <button type="button" className="act" onClick={() => begin({ kind: 'one', level, theme })}>
            {texts.begin}
          </button>
        </Box>
        <Box title={texts.twentyMinutes}>
          <p className="text-sm text-ink-soft">{texts.twentyMinutesSays}</p>
          <button type="button" className="quiet" onClick={() => begin({ kind: 'twenty', level })}>
            {texts.twentyMinutes}
          </button>
          <p className="text-sm text-ink-soft">{texts.whatIsDueSays}</p>
          <button type="button" className="quiet" onClick={() => begin({ kind: 'due', level })}>
            {texts.whatIsDue}
          </button>
        </Box>
        <Box title={texts.assessorsPapers}>
          <p className="text-sm text-ink-soft">{texts.papersSay}</p>
          {PAPERS.map(({ id }) => (
            <button
              key={id}
              type="button"
              className="quiet text-left"
              aria-label={texts.sitThePaper(paperName[id]!)}
              onClick={() => begin({ kind: 'paper', paper: id })}
            >
              {paperName[id]}
            </button>
          ))}
        </Box>
      </div>
      <p>
        <a className="inline-flex min-h-11 items-center gap-2 underline" href="/practice/pocket">
          <BookOpen size={17} aria-hidden="true" />
          {texts.pocketPage}
        </a>
      </p>
    </div>
  );
}

function Box({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section aria-label={title} className="grid content-start gap-2 border border-line-strong bg-sheet px-4 py-3">
      <h2 className="text-lg font-extrabold">{title}</h2>
      {children}
    </section>
  );
}
