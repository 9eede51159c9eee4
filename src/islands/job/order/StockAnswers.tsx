import type { StockAnswer } from '../../../contract';
import { money } from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import * as texts from '#language/screens/job-order';

/** What the shelf answers: what fits, what may, and what misses one rule with the rule; equals of what is out. */
export function StockAnswers({ answers }: { readonly answers: readonly StockAnswer[] }) {
  const { shop } = useFrame();
  return (
    <ul>
      {answers.map(({ part, answer, misses, equals, shop: at }) => (
        <li
          key={`${at ?? ''} ${part.sku}`}
          className="grid grid-cols-[7rem_9rem_minmax(0,1fr)_4rem_5rem] items-center gap-3 border-t border-line py-2 max-md:grid-cols-[auto_minmax(0,1fr)] max-md:gap-y-0"
        >
          <span className={`font-bold ${answer === 'fits' ? 'text-leaf' : 'text-brass'}`}>
            {answer === 'fits' ? texts.fits : answer === 'may-fit' ? texts.mayFit : texts.near}
          </span>
          <span className="figures">{part.sku}</span>
          <span className="max-md:col-span-2">
            {part.name}
            {at !== null && <span className="block font-bold text-steel">{texts.liesAt(at)}</span>}
            {misses.length > 0 && <span className="text-ink-soft">: {misses.join('; ')}</span>}
            {equals.length > 0 && <span className="text-ink-soft">{texts.equalAndHere(equals.join(', '))}</span>}
          </span>
          <span className="text-right figures max-md:text-left">{texts.left(part.quantity)}</span>
          <span className="text-right figures font-semibold">{at === null && money(part.priceCents, shop)}</span>
        </li>
      ))}
    </ul>
  );
}
