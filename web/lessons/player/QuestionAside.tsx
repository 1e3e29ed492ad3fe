import type { ReactNode } from 'react';
import type { AnyFault } from '../../../core/lesson';
import { QuestionFaultAlert } from '../QuestionFaultAlert';
import { UnsavedNotice, type Unsaved } from './UnsavedNotice';
import { PlayerSide } from './PlayerSide';

interface Props {
  heading: ReactNode;
  blocks: ReactNode;
  unsaved: Unsaved | null;
  /** Why the question can't be asked as it stands. */
  fault?: AnyFault | null;
  /** The prediction, or what became of it. */
  children: ReactNode;
}

/** Beside the sheet: what is said, what is asked and answered, whatever the question is about. */
export function QuestionAside({ heading, blocks, unsaved, fault = null, children }: Props) {
  return (
    <PlayerSide>
      {heading}
      {blocks}
      {unsaved && <UnsavedNotice {...unsaved} />}
      {fault ? <QuestionFaultAlert fault={fault} /> : children}
    </PlayerSide>
  );
}
