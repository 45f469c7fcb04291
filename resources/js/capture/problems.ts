/** From what the browser throws to the name of a problem in the plan book. */
import type { PlanBook } from '../plan/types';

export function problemOf(book: PlanBook, failure: unknown): string {
  // Without a secure address there are no devices to ask for.
  if (!('mediaDevices' in navigator)) return 'insecure';
  const name = failure instanceof Error ? failure.name : '';
  return book.problems.by_error[name] ?? 'other';
}

export function sentenceOf(book: PlanBook, problem: string): string {
  return book.problems.sentences[problem] ?? book.problems.sentences.other ?? '';
}
