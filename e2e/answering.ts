import type { Browser } from './browser';
import type { Session } from './session';

/** What a student does with every question: goes to it, and commits. @param browser asked anew for each, since it starts late */
export const answering = (run: Session, browser: () => Browser) => ({
  /** A lesson as its instructor tries it. @param step the tag of the step to go to */
  begin: async (lesson: string, step?: RegExp): Promise<void> => {
    const b = browser();
    await b.visit(run.at(`/teach/lessons/${lesson}/preview`));
    await b.press('button', 'Begin');
    if (step) await b.press('button', step);
  },
  commit: async (): Promise<void> => {
    const b = browser();
    await b.press('radio', 'fairly sure');
    await b.press('button', 'Commit prediction');
  },
});
