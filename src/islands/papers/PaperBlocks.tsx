import type { PaperBlock, PaperTone } from '../../contract';
import { Drawing } from './Drawing';
import { Notice } from '../../ui/parts/Notice';

const TONE: Readonly<Record<PaperTone, string>> = {
  plain: '',
  soft: 'text-ink-soft',
  good: 'text-leaf',
  work: 'text-brass',
  gone: 'text-oxide',
  open: 'text-steel',
  act: 'text-pine',
  code: '',
  ground: '',
};

const TEXT = { strong: 'font-semibold', small: 'text-sm text-ink-soft', lead: 'text-xl font-bold' } as const;

/** What a paper is made of, one block below the other. */
export function PaperBlocks({ blocks }: { readonly blocks: readonly PaperBlock[] }) {
  return blocks.map((block, i) => <Block key={i} block={block} />);
}

function Block({ block }: { readonly block: PaperBlock }) {
  switch (block.is) {
    case 'heading':
      return (
        <h2 className="mt-5 break-after-avoid border-b border-line pb-0.5 text-lg font-extrabold">{block.text}</h2>
      );
    case 'text':
      return <p className={`mt-1.5 ${block.look ? TEXT[block.look] : ''}`}>{block.text}</p>;
    case 'list':
      return <List {...block} />;
    case 'numbers':
      return <Numbers {...block} />;
    case 'pairs':
      return (
        <dl className="mt-1.5 grid grid-cols-[auto_1fr] content-start gap-x-4 gap-y-0.5">
          {block.items.map(({ name, value }) => (
            <div key={name} className="contents">
              <dt className="text-ink-soft">{name}</dt>
              <dd className="figures font-bold">{value}</dd>
            </div>
          ))}
        </dl>
      );
    case 'marks':
      return (
        <ul className="mt-1.5 grid gap-1">
          {block.items.map(({ tone, word, text }) => (
            <li key={`${word} ${text}`} className="flex gap-2">
              <span className={`shrink-0 font-bold ${TONE[tone]}`}>{word}</span>
              <span>{text}</span>
            </li>
          ))}
        </ul>
      );
    case 'table':
      return <Table {...block} />;
    case 'notice':
      return (
        <div className="mt-3">
          <Notice kind={block.kind}>
            {block.items.map((text) => (
              <p key={text}>{text}</p>
            ))}
          </Notice>
        </div>
      );
    case 'section':
      return (
        <section aria-label={block.label}>
          <PaperBlocks blocks={[{ is: 'heading', text: block.title }, ...block.blocks]} />
        </section>
      );
    case 'drawing':
      return <Drawing {...block.drawing} />;
    case 'columns':
      return (
        <div className="grid auto-cols-fr grid-flow-col gap-6 max-md:grid-flow-row">
          {block.columns.map((column, i) => (
            <div key={i} className="min-w-0">
              <PaperBlocks blocks={column} />
            </div>
          ))}
        </div>
      );
  }
}

function List({ items, numbered = false }: Extract<PaperBlock, { is: 'list' }>) {
  const Tag = numbered ? 'ol' : 'ul';
  return (
    <Tag className={`mt-1.5 grid gap-0.5 pl-6 ${numbered ? 'list-decimal' : 'list-disc'}`}>
      {items.map((text) => (
        <li key={text}>{text}</li>
      ))}
    </Tag>
  );
}

function Numbers({ items }: Extract<PaperBlock, { is: 'numbers' }>) {
  return (
    <dl className="mt-2 grid grid-cols-3 border-y-2 border-ink">
      {items.map(({ name, value, note }) => (
        <div key={name} className="border-r border-line px-3 py-2 last:border-r-0 max-md:px-1.5">
          <dt className="text-sm font-semibold">{name}</dt>
          <dd className="figures text-3xl leading-tight font-bold max-md:text-2xl">
            <span className="block whitespace-nowrap">{value}</span>{' '}
            <span className="block font-sans text-base font-semibold">{note}</span>
          </dd>
        </div>
      ))}
    </dl>
  );
}

function Table({ title, head, rows, large = false }: Extract<PaperBlock, { is: 'table' }>) {
  return (
    <table className={`mt-2 w-full border-collapse ${large ? 'text-2xl max-md:text-lg' : 'max-md:text-sm'}`}>
      <caption className="text-left text-lg font-extrabold">{title}</caption>
      <thead>
        <tr className="border-b-2 border-ink text-left text-base">
          {head.map((name) => (
            <th key={name} scope="col" className="pr-2 font-semibold">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([first, ...rest]) => (
          <tr key={first} className="border-b border-line align-top">
            <th scope="row" className="pr-2 text-left font-normal">
              {first}
            </th>
            {rest.map((cell, i) => (
              <td key={i} className="pr-2 figures font-bold whitespace-nowrap">
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
