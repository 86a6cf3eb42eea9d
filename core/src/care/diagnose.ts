import { question, QUESTION_IDS, SUSPECTS, type Clue, type QuestionId, type Suspect } from './knowledge/clues.js';

/** What was answered so far. */
export type Observations = Partial<Record<QuestionId, string>>;

export type Diagnosis = {
  /** Where it may still lie, the likeliest first. */
  suspects: { surface: Suspect; points: number }[];
  /** Each thing that was learnt, in the order of the questions. */
  because: string[];
  /** The next question that can tell the remaining suspects apart; null when there is none or it is settled. */
  next: QuestionId | null;
  /** The one surface to look at, once it is settled or nothing more can be asked; null when the answers rule out everything. */
  surface: Suspect | null;
  /** The answers contradict each other: begin again. */
  contradiction: boolean;
};

/** @throws RangeError naming the question when an answer is none of its own. */
function clueFor(id: QuestionId, answer: string): Clue {
  const clue = question(id).answers[answer];
  if (!clue) throw new RangeError(`${id}: "${answer}" is no answer; take one of ${Object.keys(question(id).answers).join(', ')}`);
  return clue;
}

/** Would some answer take one of these suspects away and leave another? */
function separates(id: QuestionId, suspects: readonly Suspect[]): boolean {
  return Object.values(question(id).answers).some(({ leaves }) => {
    const left = suspects.filter((s) => leaves.includes(s)).length;
    return left > 0 && left < suspects.length;
  });
}

/**
 * Where is the dirt? Each answer leaves some suspects and points to others; the rest follows. The surface is
 * settled when one suspect is left, or when no question tells the remaining ones apart.
 */
export function diagnose(observations: Observations): Diagnosis {
  const clues = QUESTION_IDS.flatMap((id) => (observations[id] === undefined ? [] : [clueFor(id, observations[id])]));
  const left = SUSPECTS.filter((s) => clues.every((c) => c.leaves.includes(s)));
  const suspects = left
    .map((surface) => ({ surface, points: clues.filter((c) => c.pointsTo.includes(surface)).length }))
    .sort((a, b) => b.points - a.points || SUSPECTS.indexOf(a.surface) - SUSPECTS.indexOf(b.surface));
  const next = left.length > 1 ? (QUESTION_IDS.find((id) => observations[id] === undefined && separates(id, left)) ?? null) : null;
  return {
    suspects,
    because: clues.map((c) => c.because).filter((b) => b !== ''),
    next,
    surface: next === null ? (suspects[0]?.surface ?? null) : null,
    contradiction: left.length === 0,
  };
}
