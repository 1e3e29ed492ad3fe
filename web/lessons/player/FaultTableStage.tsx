import { Select } from 'antd';
import { useMemo, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import {
  DRIVE_SYMPTOMS,
  faultKey,
  lookAlikes,
  rigFaultProblem,
  rigOfUnit,
  symptomTable,
  type DriveSymptom,
  type Fault,
} from '../../../core/faults';
import { unitFindings, type Unit } from '../../../core/geartrain';
import type { FaultTableBlock } from '../../../core/lesson';
import { AtlasTable } from '../../faults/AtlasTable';
import { wordText } from '../../faults/faultWords';
import { gearName } from '../../shared/unitNames';
import { QuestionFaultAlert } from '../QuestionFaultAlert';
import { NextButton, type Next } from './NextButton';
import '../../faults/Atlas.css';
import './FaultStage.css';

interface Props {
  block: FaultTableBlock;
  unit: Unit;
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

/** Faults of a unit by range, to look things up in. */
export function FaultTableStage({ block, unit, heading, blocks, next }: Props) {
  const { t } = useTranslation();
  const [seen, setSeen] = useState<Readonly<Record<string, DriveSymptom>>>({});
  const [chosen, setChosen] = useState<string | null>(null);
  const table = useMemo(() => {
    if (unitFindings(unit).some((f) => f.weight === 'wrong')) return null;
    const rig = rigOfUnit(unit);
    const wanted = (block.faults as Fault[]).filter((f) => !rigFaultProblem(rig, f));
    return wanted.length > 0
      ? symptomTable(
          rig,
          wanted.map((f) => [f]),
        )
      : symptomTable(rig);
  }, [unit, block.faults]);
  const groups = table
    ? lookAlikes(
        table.rows.filter((row) =>
          row.cells.every((c) => seen[c.range] === undefined || seen[c.range] === c.drive),
        ),
      )
    : [];
  return (
    <>
      <div className="player-sheet fault-stage">
        <h2>{unit.name}</h2>
        {table ? (
          <AtlasTable unit={unit} groups={groups} chosen={chosen} onChosen={setChosen} />
        ) : (
          <QuestionFaultAlert fault="unit-broken" />
        )}
      </div>
      <aside className="player-side" aria-label={t('player.step')}>
        {heading}
        {blocks}
        {block.allow.filter && (
          <div className="atlas-seen">
            <strong>{t('atlas.seen')}</strong>
            {unit.ranges.map((range) => (
              <label key={range.id} className="row">
                <span className="atlas-gear">{gearName(range)}</span>
                <Select<DriveSymptom | 'any'>
                  aria-label={t('atlas.seenIn', { range: gearName(range) })}
                  value={seen[range.id] ?? 'any'}
                  listHeight={320}
                  onChange={(v) => {
                    const next = { ...seen };
                    if (v === 'any') delete next[range.id];
                    else next[range.id] = v;
                    setSeen(next);
                  }}
                  options={[
                    { value: 'any', label: t('atlas.notDriven') },
                    ...DRIVE_SYMPTOMS.map((s) => ({ value: s, label: wordText(t, s) })),
                  ]}
                />
              </label>
            ))}
          </div>
        )}
        <p role="status">
          {t('atlas.shown', {
            count: groups.flat().length,
            all: table?.rows.length ?? 0,
          })}
        </p>
        {chosen && groups.flat().some((r) => faultKey(r.faults) === chosen) && (
          <p className="quiet">{t('faultPrompts.alikeMarked')}</p>
        )}
        <NextButton {...next} />
      </aside>
    </>
  );
}
