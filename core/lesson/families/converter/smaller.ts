import type { SmallerQuestions } from '../../family';
import type { ConverterTypes } from './types';

export const SMALLER_CONVERTER_QUESTIONS: SmallerQuestions<ConverterTypes> = {
  /** Of a torque or of heat, the engine's speed; of a change, the stall speed before it; of a curve, where it couples. */
  twice(question) {
    switch (question.kind) {
      case 'read-match':
        return question.ask === 'turbine-torque' || question.ask === 'heat'
          ? { ...question, prompt: '', ask: 'engine-speed' }
          : null;
      case 'predict-change': {
        const { converter, engine, tolerance, of } = question;
        const stall = {
          kind: 'read-match',
          ask: 'stall-speed',
          throttle: 1,
          turbineRpm: 0,
        } as const;
        return of === 'stall-speed' ? { ...stall, prompt: '', converter, engine, tolerance } : null;
      }
      case 'sketch-curve': {
        const { converter, engine } = question;
        const tolerance = { kind: 'percent', value: 5 } as const;
        const couples = { ask: 'coupling-ratio', throttle: 1, turbineRpm: 0, tolerance } as const;
        return { kind: 'read-match', prompt: '', converter, engine, ...couples };
      }
      case 'operate':
      case 'launch-order':
        return null;
    }
  },
};
