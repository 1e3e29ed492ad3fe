import type { ReactNode } from 'react';
import type { Documents, ModelKind } from '../../../core/formats';
import { ModelPicker } from './ModelPicker';
import { useLessonModels } from './useLessonModels';

interface Props<K extends ModelKind, Q extends { prompt: string }> {
  kind: K;
  label: string;
  /** Id of the model that the question is about. */
  value: string;
  question: Q;
  /** The same kind of question about another model. */
  fresh: (model: Documents[K]) => Q;
  onQuestion: (question: Q, models: readonly Documents[K][]) => void;
  /** What is asked about it. */
  children: (model: Documents[K]) => ReactNode;
}

/** A question about one model: which, and then what is asked of it. Another model makes it a new question in the same words. */
export function AboutModel<K extends ModelKind, Q extends { prompt: string }>(props: Props<K, Q>) {
  const { kind, label, value, question, fresh, onQuestion, children } = props;
  const model = useLessonModels(kind).models.find((m) => m.id === value);
  return (
    <>
      <ModelPicker
        kind={kind}
        label={label}
        value={value}
        onModel={(next) =>
          onQuestion(next.id === value ? question : { ...fresh(next), prompt: question.prompt }, [
            next,
          ])
        }
      />
      {model && children(model)}
    </>
  );
}
