import { expect, it } from 'vitest';
import { tryCorpus } from '../../../tests/findCorpus.ts';

it('what people say finds what they mean among the first three, nineteen times out of twenty', () => {
  const { questions, good, missed } = tryCorpus();
  expect(questions).toBeGreaterThanOrEqual(150);
  expect(good / questions, missed.join('\n')).toBeGreaterThanOrEqual(0.95);
});
