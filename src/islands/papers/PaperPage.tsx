import { FileDown } from 'lucide-react';
import type { Paper } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { PrintBar } from '../../ui/parts/PrintBar';
import { Frame } from '../frame/Frame';
import type { Preferences } from '../frame/preferences';
import { PaperBlocks } from './PaperBlocks';
import * as texts from '#language/papers';

interface PaperPageProps {
  readonly paper: Paper;
  readonly preferences: Preferences;
  /** Where it was written. */
  readonly back: string;
  /** Where the same is to be had as PDF; null where it is not. */
  readonly pdf: string | null;
}

/** Places beside the Bench whose papers these may be. */
const PLACES_OF_PAPERS = ['counter', 'practice'] as const;

/** A paper on the screen: to read, also on a phone, to print, or to take as PDF. */
export function PaperPage({ paper, preferences, back, pdf }: PaperPageProps) {
  const width = paper.size === 'tag' ? 'max-w-sm' : paper.large ? 'max-w-4xl text-lg' : 'max-w-3xl';
  return (
    <Frame
      shop={paper.shop}
      preferences={preferences}
      place={PLACES_OF_PAPERS.find((each) => back.startsWith(`/${each}`)) ?? 'bench'}
    >
      <PrintBar back={paper.shop.me?.role === 'reader' ? '/' : back} to={paper.tag || paper.title}>
        {pdf && (
          <a className="flex quiet items-center gap-2" href={pdf}>
            <FileDown size={17} aria-hidden="true" />
            PDF
          </a>
        )}
      </PrintBar>
      {paper.since && paper.since.length > 0 && (
        <aside className={`no-print mx-auto mb-3 ${width}`}>
          <Notice kind="caution">
            <p className="font-bold">{texts.sinceItWasGiven}</p>
            {paper.since.map((says) => (
              <p key={says}>{says}</p>
            ))}
          </Notice>
        </aside>
      )}
      <article
        className={`mx-auto border border-line-strong bg-sheet p-8 max-md:p-4 print:border-0 print:p-0 ${width}`}
      >
        <header className="mb-3 graduated pt-5">
          <div className="flex items-baseline justify-between gap-3">
            <h1 className="text-2xl font-extrabold">{paper.title}</h1>
            <p className="figures text-xl font-bold whitespace-nowrap">{paper.tag}</p>
          </div>
          {paper.lines.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </header>
        <PaperBlocks blocks={paper.blocks} />
        {paper.foot && (
          <footer className="mt-5 border-t border-line pt-1 figures text-sm text-ink-soft">{paper.foot}</footer>
        )}
      </article>
    </Frame>
  );
}
