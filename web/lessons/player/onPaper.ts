import { createContext } from 'react';

/** On a worksheet: whose sheet it is; `null` on a screen. Nothing is committed there, and the answer is written by hand. */
export const PaperContext = createContext<{ readonly student: string } | null>(null);
