import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { Choice, ChooseMany } from './Choice';
import { Notice } from './Notice';
import { Pager } from './Pager';
import { Plates, type Joint, type Plate } from './Plates';
import { VerdictChip, VerdictMark, type VerdictShape } from './VerdictMark';

const nothing = () => undefined;
const VERDICTS: readonly VerdictShape[] = ['keep', 'clean', 'recondition', 'replace', 'undecided'];

describe('verdict marks', () => {
  it('differ in shape, not in colour alone', () => {
    const shapes = VERDICTS.map((verdict) =>
      renderToStaticMarkup(<VerdictMark verdict={verdict} />).replace(/class="[^"]*"/, ''),
    );
    expect(new Set(shapes).size).toBe(VERDICTS.length);
  });

  it('carry their word', () => {
    expect(renderToStaticMarkup(<VerdictChip verdict="replace" word="Replace" />)).toContain('Replace');
  });
});

describe('linked plates', () => {
  const plate = (name: string): Plate => ({ name, pitch: '.325', gauge: null, links: null, shows: ['pitch'] });
  const joint = (state: Joint['state']): Joint => ({ name: `rule ${state}`, state, sentence: `because ${state}` });

  it('join neighbours by every rule between them, each with a word, a shape and a sentence', () => {
    const row = renderToStaticMarkup(
      <Plates
        plates={['a', 'b', 'c', 'd'].map(plate)}
        joints={[[joint('match')], [joint('clash'), joint('match')], [joint('unknown')]]}
        others={[joint('unknown')]}
      />,
    );
    for (const word of ['match', 'clash', 'not known', 'because clash']) expect(row).toContain(word);
    expect(row.split('<summary').length - 1).toBe(5);
  });

  it('show what is not known as a question, and a note where a part has no numbers', () => {
    const row = renderToStaticMarkup(
      <Plates
        plates={[
          { ...plate('a'), pitch: null },
          { ...plate('b'), shows: [], note: 'hard nose' },
        ]}
        joints={[[joint('unknown')]]}
        others={[]}
      />,
    );
    expect(row).toContain('?');
    expect(row).toContain('hard nose');
  });
});

describe('choices', () => {
  const options = [
    { value: 'yes', label: 'trained' },
    { value: 'no', label: 'not trained' },
  ];

  it('are one named group with the chosen one on', () => {
    const html = renderToStaticMarkup(
      <Choice legend="Who" options={options} value="no" onChoose={nothing} hint="decides" />,
    );
    expect(html.split('data-state="on"').length - 1).toBe(1);
    expect(html).toMatch(/role="radiogroup"[^>]*aria-labelledby|aria-labelledby[^>]*role="radiogroup"/);
    expect(html).toContain('decides');
  });

  it('may be several at once', () => {
    expect(
      renderToStaticMarkup(
        <ChooseMany legend="Who" options={options} values={['yes', 'no']} onChange={nothing} />,
      ).split('checked=""').length - 1,
    ).toBe(2);
  });
});

describe('small parts', () => {
  it('announce an error, and only an error', () => {
    expect(renderToStaticMarkup(<Notice kind="error">no</Notice>)).toContain('role="alert"');
    expect(renderToStaticMarkup(<Notice kind="caution">mind</Notice>)).not.toContain('role=');
  });

  it('page only where there are pages', () => {
    const href = (page: number) => `/?page=${page}`;
    expect(renderToStaticMarkup(<Pager page={1} pages={1} href={href} />)).toBe('');
    const middle = renderToStaticMarkup(<Pager page={2} pages={3} href={href} />);
    expect(middle).toContain('/?page=1');
    expect(middle).toContain('/?page=3');
    expect(renderToStaticMarkup(<Pager page={3} pages={3} href={href} />)).not.toContain('page=4');
  });
});
