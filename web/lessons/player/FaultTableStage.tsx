import { useMemo, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import {
  faultKey,
  lookAlikes,
  rigFaultProblem,
  rigOfUnit,
  symptomTable,
  type Fault,
} from '../../../core/faults';
import { unitFindings, type Unit } from '../../../core/geartrain';
import type { FaultTableBlock } from '../../../core/lesson';
import { AtlasTable } from '../../faults/AtlasTable';
import { SeenInRanges, type Seen } from '../../faults/SeenInRanges';
import { QuestionFaultAlert } from '../QuestionFaultAlert';
import { NextButton, type Next } from './NextButton';
import { PlayerSide } from './PlayerSide';
import { useKept } from '../../shared/kept';
import '../../faults/Atlas.css';
import '../families/fault/Stage.css';

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
  const [seen, setSeen] = useKept<Seen>('FaultTableStage seen', {});
  const [chosen, setChosen] = useKept<string | null>('FaultTableStage chosen', null);
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
      <div className="player-sheet fault-stage is-long">
        <h2>{unit.name}</h2>
        {table ? (
          <AtlasTable unit={unit} groups={groups} chosen={chosen} onChosen={setChosen} />
        ) : (
          <QuestionFaultAlert fault="unit-broken" />
        )}
      </div>
      <PlayerSide>
        {heading}
        {blocks}
        {block.allow.filter && <SeenInRanges unit={unit} seen={seen} onSeen={setSeen} />}
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
      </PlayerSide>
    </>
  );
}
