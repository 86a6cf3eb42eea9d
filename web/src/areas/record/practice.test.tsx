import { routes, type PracticeRun } from '@bright-keeper/contract';
import { care, practice } from '@bright-keeper/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { workerOf } from '../../testing/worker';
import { practiceApi } from '../../workers/practice';
import { PracticePage } from './PracticePage';
import { beginRun, chosenIn, onIn, questionOf } from './usePractice';

afterEach(endPage);

const NOW = new Date('2026-03-10T09:00:00.000Z');
/** The page with a household that keeps the runs it is sent. */
function show(address = '/practice', before: PracticeRun[] = []) {
  const runs = [...before];
  const page = showPage(
    PracticePage,
    '/practice',
    address,
    {
      [`GET ${routes.settings}`]: settingsIn('NOK'),
      [`GET ${routes.practiceRuns}`]: () => ({ runs: [...runs] }),
      [`POST ${routes.practiceRuns}`]: (run: Omit<PracticeRun, 'at'>) => {
        runs.push({ ...run, at: NOW.toISOString() });
        return runs.at(-1);
      },
    },
    { now: () => NOW, startWorker: () => workerOf(practiceApi) },
  );
  return { ...page, runs };
}
const caseShown = async (): Promise<practice.PracticeCase> => {
  const told = (await screen.findByRole('heading', { level: 2, name: /^“/ })).textContent;
  return practice.practiceCases(care.DEFAULT_SCHOOLS).find((one) => `“${one.told}”` === told)!;
};
const rightOf = (question: practice.PracticeQuestion): number => question.choices.findIndex((choice) => choice.right);

describe('a run of the practice', () => {
  it('asks one question after the other, says why, keeps how it went once, and when it comes back', async () => {
    const { runs } = show('/practice?run=fungus');
    const one = await caseShown();
    expect(practice.isOf('fungus', one)).toBe(true);
    for (const [i, question] of one.questions.entries()) {
      const choices = screen.getAllByRole('listitem').map((li) => li.querySelector('button')!);
      expect(choices).toHaveLength(question.choices.length);
      expect(screen.queryByText(/^(Yes\.|No: )/)).toBeNull();
      // The first is answered wrongly, on purpose.
      const wrong = question.choices.findIndex((choice) => !choice.right);
      fireEvent.click(choices[i === 0 ? wrong : rightOf(question)]!);
      expect(screen.getByText(i === 0 ? /^No: / : 'Yes.')).toBeTruthy();
      // What was chosen stands.
      expect(choices.every((button) => button.disabled)).toBe(true);
      fireEvent.click(screen.getByRole('button', { name: i + 1 === one.questions.length ? 'End' : 'On' }));
    }
    expect(screen.getByText(`${one.questions.length - 1} of ${one.questions.length}`)).toBeTruthy();
    expect(screen.getByText(/^It comes back on .* March 2026\.$/)).toBeTruthy();
    await waitFor(() => expect(runs).toHaveLength(1));
    expect(runs[0]).toMatchObject({ caseId: one.id, asked: one.questions.length, right: one.questions.length - 1 });
    await screen.findByText(/^1 of \d+ cases practised\./);
    fireEvent.click(await screen.findByRole('button', { name: 'Next case' }));
    expect((await caseShown()).id).not.toBe(one.id);
    expect(runs).toHaveLength(1);
  });

  it('goes by keys alone', async () => {
    const { runs } = show();
    const one = await caseShown();
    // What was tapped before has the focus still, and Enter is not its own once a question is answered.
    const tapped = screen.getByRole('button', { name: 'Everything' });
    for (const question of one.questions) {
      fireEvent.keyDown(tapped, { key: String(rightOf(question) + 1) });
      expect(screen.getByText('Yes.')).toBeTruthy();
      fireEvent.keyDown(tapped, { key: 'Enter' });
    }
    await waitFor(() => expect(runs).toHaveLength(1));
    expect(runs[0]!.right).toBe(one.questions.length);
  });

  it('in the dark shows nothing and tells all of it', async () => {
    show('/practice?run=dark');
    await caseShown();
    expect(document.querySelector('[data-surface]')).toBeNull();
    endPage();
    show('/practice');
    await caseShown();
    expect(document.querySelector('[data-surface]')).not.toBeNull();
  });

  it('brings back first what went wrong and is due', async () => {
    const [one] = practice.practiceCases(care.DEFAULT_SCHOOLS);
    show('/practice', [{ id: '1', caseId: one!.id, asked: 5, right: 0, at: '2026-02-01T09:00:00.000Z' }]);
    expect((await caseShown()).id).toBe(one!.id);
    expect(screen.getByText(/^It comes back today: it is due again\./)).toBeTruthy();
  });
});

describe('what is chosen', () => {
  it('stands, counts once, and is not passed over', () => {
    const run = beginRun(practice.practiceCases()[0]!);
    expect(onIn(run)).toBe(run);
    const question = questionOf(run)!;
    const answered = chosenIn(run, rightOf(question));
    expect(answered.right).toBe(1);
    expect(chosenIn(answered, 0)).toBe(answered);
    expect(chosenIn(run, 99)).toBe(run);
    expect(onIn(answered)).toMatchObject({ at: 1, chosen: null, right: 1 });
  });
});
