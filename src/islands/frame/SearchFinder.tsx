import type { Ref } from 'react';
import type { SearchHitView } from '../../contract';
import { Combobox } from '../../ui/parts/Combobox';
import { isAsked, ServerData, useFound } from './server-data';
import * as texts from '#language/screens/frame';

export interface SearchFinderProps {
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly fieldRef: Ref<HTMLInputElement>;
  readonly className: string;
  readonly label: string;
  readonly placeholder: string;
}

const addressOf = (words: string) => `/api/search?q=${encodeURIComponent(words)}`;
const goTo = ({ href }: SearchHitView) => window.location.assign(href);

/** The search once its field was entered. */
export function SearchFinder(props: SearchFinderProps) {
  return (
    <ServerData>
      <Finder {...props} />
    </ServerData>
  );
}

function Finder({ text, ...field }: SearchFinderProps) {
  const { items, older, trouble } = useFound<SearchHitView>(text, addressOf);
  return (
    <Combobox<SearchHitView>
      {...field}
      bare
      text={text}
      found={items}
      older={older}
      keyOf={({ kind, href }) => `${kind}${href}`}
      draw={({ kind, title, detail, href }) => (
        <a
          href={href}
          tabIndex={-1}
          onClick={(event) => event.stopPropagation()}
          className="flex min-h-11 min-w-0 flex-1 items-center gap-2"
        >
          <span className="w-16 shrink-0 text-sm text-ink-soft">{kind}</span>
          <span className="truncate font-semibold">{title}</span>
          <span className="truncate text-sm text-ink-soft">{detail}</span>
        </a>
      )}
      onChoose={goTo}
      nothing={trouble ?? (isAsked(text) ? texts.nothingBeginsWith(text.trim()) : null)}
      listLabel={texts.found}
    />
  );
}
