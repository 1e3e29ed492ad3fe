import type { SmallerQuestions } from '../../family';
import type { ClutchTypes } from './types';

export const SMALLER_CLUTCH_QUESTIONS: SmallerQuestions<ClutchTypes> = {
  /** Of free play, what is adjusted before what; of what an upgraded pack carries, what gives first. */
  twice(question) {
    switch (question.kind) {
      case 'set-free-play':
        return { kind: 'adjust-order', prompt: '', clutch: question.clutch };
      case 'upgrade-limit':
        return question.ask === 'carried' ? { ...question, prompt: '', ask: 'limit' } : null;
      case 'will-it-hold':
      case 'adjust-order':
      case 'noise-test':
      case 'draw-start':
      case 'choose-selective':
        return null;
    }
  },
};
