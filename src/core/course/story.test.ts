import { describe, expect, it } from 'vitest';
import type { Action, Operation } from '../sheet';
import { isRenewed, saidByHandOver, saidOf, type PartFacts } from './story';

const facts = (verdict: Action, choice: string | null, ...done: Operation[]): PartFacts => ({
  part: 'bar',
  verdict,
  choice,
  done,
});

describe('what is said of a part', () => {
  it('is its verdict until a plan is signed, then what the plan does with it', () => {
    expect(saidOf(facts('recondition', 'replace'), 'came').stands).toBe('recondition');
    expect(saidOf(facts('recondition', 'replace'), 'planned')).toMatchObject({
      stands: 'replace',
      contradicted: false,
    });
    expect(saidOf(facts('recondition', 'recondition'), 'planned')).toMatchObject({
      stands: 'recondition',
      isDone: false,
    });
    expect(saidOf(facts('keep', 'recondition', 'dress-rails'), 'out')).toMatchObject({ isDone: true });
  });

  it('is never sound by a plan alone: what stays and is condemned since contradicts it', () => {
    for (const moment of ['planned', 'out'] as const) {
      const said = saidOf(facts('replace', 'keep'), moment);
      expect(said).toMatchObject({ stands: 'replace', contradicted: true });
      expect(isRenewed(said)).toBe(false);
    }
    expect(saidOf(facts('undecided', 'keep'), 'out').stands).toBe('undecided');
  });

  it('tells cleaning from work, and takes the acts of every service for neither', () => {
    expect(saidOf(facts('keep', 'keep', 'rake-groove'), 'out').stands).toBe('clean');
    expect(saidOf(facts('keep', 'keep', 'turn-over', 'grease-nose'), 'out')).toMatchObject({
      stands: 'keep',
      isDone: false,
    });
  });

  it('of a hand-over calls nothing new where nothing new went on', () => {
    const parts = [facts('replace', 'replace')];
    expect(saidByHandOver({ parts, fitted: [] }, 'out')[0]).toMatchObject({ stands: 'replace', contradicted: true });
    expect(saidByHandOver({ parts, fitted: ['B-1'] }, 'out').map(isRenewed)).toEqual([true]);
  });
});
