import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { AnyFault } from '../../../core/lesson';
import { QuestionFaultAlert } from '../QuestionFaultAlert';
import { NextButton, type Next } from './NextButton';

/** What stands round whatever has the drawing sheet. */
export interface FocusFrame {
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

/** The lesson came without the model that this step is about. */
export function ModelMissing({ fault, heading, blocks, next }: FocusFrame & { fault: AnyFault }) {
  const { t } = useTranslation();
  return (
    <section className="player-reading" aria-label={t('player.step')}>
      {heading}
      {blocks}
      <QuestionFaultAlert fault={fault} />
      <NextButton {...next} />
    </section>
  );
}
