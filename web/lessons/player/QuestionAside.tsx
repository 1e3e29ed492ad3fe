import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { AnyFault } from '../../../core/lesson';
import { QuestionFaultAlert } from '../QuestionFaultAlert';
import { UnsavedNotice, type Unsaved } from './UnsavedNotice';

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
  const { t } = useTranslation();
  return (
    <aside className="player-side" aria-label={t('player.step')}>
      {heading}
      {blocks}
      {unsaved && <UnsavedNotice {...unsaved} />}
      {fault ? <QuestionFaultAlert fault={fault} /> : children}
    </aside>
  );
}
