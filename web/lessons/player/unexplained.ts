import { createContext } from 'react';

/** The student's answer is one that no usual way of thinking gives: the lines are asked one by one. */
export const Unexplained = createContext(false);
