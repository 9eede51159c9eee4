import type { PracticeView, ProgressView, RoundLine } from '../../contract';
import { faultName, levelName, paperName, sentence, shopMoment, themeName } from '../../wording';
import { useFrame } from '../frame/frame-context';
import { later } from '../frame/later';
import * as texts from '#language/screens/practice';

/** The curve is fetched when there is something to draw. */
const { View: ReliabilityChart } = later(() =>
  import('../../ui/charts/ReliabilityChart').then((there) => there.ReliabilityChart),
);

/** How somebody does: their rounds, how sure against how right, and each fault. */
export function Progress({ view }: { readonly view: PracticeView }) {
  const { progress, others, isOther } = view;
  return (
    <section aria-label={texts.progress} className="grid gap-4">
      <h2 className="text-xl font-extrabold">{isOther ? texts.progressOf(progress.by) : texts.progress}</h2>
      {isOther && (
        <p>
          <a className="underline" href="/practice">
            {texts.back}
          </a>
        </p>
      )}
      {progress.lines.length === 0 ? <p>{texts.noRounds}</p> : <Figures progress={progress} isOther={isOther} />}
      {others.length > 0 && (
        <section aria-label={texts.others}>
          <h3 className="font-bold">{texts.others}</h3>
          <ul>
            {others.map(({ by, rounds }) => (
              <li key={by} className="flex gap-3 border-t border-line py-1">
                <a
                  className="underline max-md:inline-grid max-md:min-h-[44px] max-md:content-center"
                  href={`/practice?by=${encodeURIComponent(by)}`}
                >
                  {by}
                </a>
                <span className="text-ink-soft">{texts.roundsAnswered(rounds)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </section>
  );
}

function Figures({ progress, isOther }: { readonly progress: ProgressView; readonly isOther: boolean }) {
  const { rounds, points, brier, statements, reliability } = progress;
  return (
    <>
      <p className="flex flex-wrap gap-x-4 text-lg font-semibold">
        <span>{texts.roundsAnswered(rounds)}</span>
        {points !== null && <span>{texts.meanPoints(points)}</span>}
      </p>
      <div className="grid grid-cols-2 gap-6 max-lg:grid-cols-1">
        <div className="grid content-start gap-4">
          <Rounds lines={progress.lines} isOther={isOther} />
          {brier !== null && (
            <section aria-label={texts.reliability}>
              <h3 className="font-bold">{texts.reliability}</h3>
              <p className="text-sm">{texts.brier(brier, statements)}</p>
              <ReliabilityChart points={reliability} />
            </section>
          )}
        </div>
        <Skills progress={progress} />
      </div>
    </>
  );
}

/** What a round was about, in words. */
function about({ kind, level, theme, paper, place }: RoundLine): string {
  if (paper !== null) return texts.onAPaper(paperName[paper] ?? paper, place);
  return [texts.kinds[kind], levelName[level].toLowerCase(), ...(theme ? [themeName[theme].toLowerCase()] : [])].join(
    ', ',
  );
}

function Rounds({ lines, isOther }: { readonly lines: readonly RoundLine[]; readonly isOther: boolean }) {
  const { shop } = useFrame();
  return (
    <table className="w-full border-collapse text-left">
      <caption className="text-left font-bold">{texts.lastRounds}</caption>
      <thead>
        <tr className="border-b border-ink text-sm">
          <th scope="col">{texts.what}</th>
          <th scope="col" className="text-right">
            {texts.minutesHead}
          </th>
          <th scope="col" className="text-right">
            {texts.pointsHead}
          </th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <tr key={line.id} className="border-b border-line align-top">
            <td className="py-1 pr-2">
              {isOther && !line.isAnswered ? (
                sentence(about(line))
              ) : (
                <a
                  className="underline max-md:inline-grid max-md:min-h-[44px] max-md:content-center"
                  href={`/practice/rounds/${line.id}`}
                >
                  {sentence(about(line))}
                </a>
              )}
              <span className="block text-sm text-ink-soft">{shopMoment(line.at, shop)}</span>
            </td>
            <td className="py-1 text-right figures">{line.minutes.toFixed(1)}</td>
            <td className="py-1 pl-2 text-right figures">
              {line.points !== null ? Math.round(line.points * 100) : line.isAnswered ? texts.notToldYet : texts.goOn}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Skills({ progress: { skills } }: { readonly progress: ProgressView }) {
  const { shop } = useFrame();
  return (
    <table className="w-full border-collapse self-start text-left">
      <caption className="text-left font-bold">{texts.skills}</caption>
      <thead>
        <tr className="border-b border-ink text-sm">
          <th scope="col">{texts.fault}</th>
          <th scope="col">{texts.metFound}</th>
          <th scope="col">{texts.comesAgain}</th>
        </tr>
      </thead>
      <tbody>
        {skills.map(({ fault, met, found, due, isDue }) => (
          <tr key={fault} className="border-b border-line align-top">
            <th scope="row" className="py-0.5 pr-2 font-normal">
              {faultName[fault]}
            </th>
            <td className="py-0.5 pr-2 figures">{met === 0 ? '' : `${found}/${met}`}</td>
            <td className={`py-0.5 ${isDue ? 'font-bold text-brass' : 'text-ink-soft'}`}>
              {due === null ? texts.never : isDue ? texts.now : shopMoment(due, shop)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
