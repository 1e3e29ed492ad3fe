import { Modal, Radio, Select } from 'antd';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { TFunction } from 'i18next';
import type { Unit } from '../../../core/geartrain';
import {
  DRAFT_SUBJECTS,
  draftLesson,
  familyOf,
  type DraftSubject,
  type Lesson,
  type Question,
} from '../../../core/lesson';
import { SmallSlider } from '../../bench/SmallSlider';
import { useServices } from '../../state/hooks';
import { firstClutchRig, firstConverterRig } from '../builder/firstRig';
import { useLessonShelf } from '../builder/useLessonShelf';
import { rangeName } from '../../shared/unitNames';
import './DraftDialog.css';

interface Props {
  onClose: () => void;
  onLesson: (lesson: Lesson) => void;
}

/** What a question is about, in as few words as a step's title has. */
function stepTitle(t: TFunction, unit: Unit, question: Question): string {
  if (question.kind === 'number') return t(`asks.${question.ask}`);
  if (question.kind === 'choice') return t(`choiceAsks.${question.ask}`);
  const kind = t(`questionKinds.${question.kind}`);
  return 'range' in question && familyOf(question) === 'unit'
    ? `${kind}: ${rangeName(unit, question.range)}`
    : kind;
}

/** A unit, a subject and the minutes: out comes a lesson to edit. */
export function DraftDialog({ onClose, onLesson }: Props) {
  const { t } = useTranslation();
  const services = useServices();
  const shelf = useLessonShelf();
  const [unitId, setUnitId] = useState<string | null>(null);
  const [subject, setSubject] = useState<DraftSubject>('ratios');
  const [minutes, setMinutes] = useState(30);
  const [none, setNone] = useState(false);
  const unit = shelf.units.find((u) => u.id === unitId) ?? shelf.units[0];
  const draft = () => {
    if (!unit) return;
    const named = { unit: unit.id };
    const rig = {
      unit,
      converter: firstConverterRig(shelf, named),
      clutch: firstClutchRig(shelf, {}),
    };
    const lesson = draftLesson(
      { subject, minutes, rig },
      {
        title: t('draft.lessonTitle', { subject: t(`draft.subjects.${subject}`), unit: unit.name }),
        first: t('draft.first'),
        firstLine: t(`draft.firstLines.${subject}`),
        step: (question) => stepTitle(t, unit, question),
        line: (kind) => t(`draft.lines.${kind}`),
      },
      services.newId(),
      () => services.newId(),
    );
    if (lesson) onLesson(lesson);
    else setNone(true);
  };
  return (
    <Modal
      open
      title={t('draft.title')}
      okText={t('draft.make')}
      onOk={draft}
      onCancel={onClose}
      okButtonProps={{ disabled: !unit }}
    >
      <div className="draft-fields">
        <p className="quiet">{t('draft.lead')}</p>
        <label className="field">
          <span className="label">{t('apply.unit')}</span>
          <Select
            value={unit?.id ?? ''}
            onChange={setUnitId}
            options={shelf.units.map((u) => ({ value: u.id, label: u.name }))}
          />
        </label>
        <div role="group" aria-label={t('draft.subject')}>
          <span className="label">{t('draft.subject')}</span>
          <Radio.Group
            className="draft-subjects"
            value={subject}
            onChange={(e) => {
              setSubject(e.target.value as DraftSubject);
              setNone(false);
            }}
            options={DRAFT_SUBJECTS.map((s) => ({ value: s, label: t(`draft.subjects.${s}`) }))}
          />
        </div>
        <SmallSlider
          label={t('draft.minutes')}
          text={t('draft.minutesText', { count: minutes })}
          value={minutes}
          from={10}
          to={90}
          step={5}
          onValue={setMinutes}
        />
        {none && <p role="alert">{t('draft.none')}</p>}
      </div>
    </Modal>
  );
}
