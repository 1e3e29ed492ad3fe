import { clutchRigOf, familyOf, oilRigOf, rigOf, unitOf, type Lesson } from '../../../core/lesson';
import { useAppSelector } from '../../state/hooks';
import { KeptScope } from '../../shared/kept';
import { lazyPart } from '../../shared/lazyPart';
import { ModelMissing, type FocusFrame } from './ModelMissing';
import { selectPlayer } from './playerSlice';
import { STAGES } from '../families/stages';
import type { Focus } from './usePlayerStep';

const UnitBenchStage = lazyPart(async () => (await import('./UnitBenchStage')).UnitBenchStage);
const ClutchBenchStage = lazyPart(
  async () => (await import('./ClutchBenchStage')).ClutchBenchStage,
);
const PackBenchStage = lazyPart(async () => (await import('./ClutchBenchStage')).PackBenchStage);
const ConverterBenchStage = lazyPart(
  async () => (await import('./ConverterBenchStage')).ConverterBenchStage,
);
const ShiftBenchStage = lazyPart(async () => (await import('./ShiftBenchStage')).ShiftBenchStage);
const FaultTableStage = lazyPart(async () => (await import('./FaultTableStage')).FaultTableStage);
const BenchStage = lazyPart(async () => (await import('./BenchStage')).BenchStage);

interface FocusProps extends FocusFrame {
  lesson: Lesson;
  focus: Focus;
  round: number;
}

/** What has the drawing sheet; what is typed or set there belongs to this attempt, block and round. */
export function FocusStage(props: FocusProps) {
  const attempt = useAppSelector(selectPlayer).attempt?.id ?? '';
  return (
    <KeptScope value={`${attempt} ${props.focus.id} ${props.round}`}>
      <Stage {...props} />
    </KeptScope>
  );
}

/** A question, or a bench to operate; each loads when it is first met. */
function Stage({ lesson, focus, round, ...frame }: FocusProps) {
  switch (focus.kind) {
    case 'question': {
      const Stage = STAGES[familyOf(focus.question)];
      const key = `${focus.id} ${round}`;
      return <Stage key={key} lesson={lesson} block={focus} round={round} {...frame} />;
    }
    case 'bench':
      return <BenchStage key={focus.id} block={focus} {...frame} />;
    case 'unit-bench': {
      const unit = unitOf(lesson, focus);
      if (!unit) return <ModelMissing fault="unit-missing" {...frame} />;
      return <UnitBenchStage key={focus.id} block={focus} unit={unit} {...frame} />;
    }
    case 'converter-bench': {
      const rig = rigOf(lesson, focus);
      if (!rig) return <ModelMissing fault="converter-missing" {...frame} />;
      return <ConverterBenchStage key={focus.id} block={focus} rig={rig} {...frame} />;
    }
    case 'shift-bench': {
      const rig = oilRigOf(lesson, focus);
      if (!rig) return <ModelMissing fault="plan-missing" {...frame} />;
      return <ShiftBenchStage key={focus.id} block={focus} rig={rig} {...frame} />;
    }
    case 'clutch-bench': {
      const clutch = clutchRigOf(lesson, focus)?.clutch;
      if (!clutch) return <ModelMissing fault="clutch-missing" {...frame} />;
      return <ClutchBenchStage key={focus.id} block={focus} clutch={clutch} {...frame} />;
    }
    case 'fault-table': {
      const unit = unitOf(lesson, focus);
      if (!unit) return <ModelMissing fault="unit-missing" {...frame} />;
      return <FaultTableStage key={focus.id} block={focus} unit={unit} {...frame} />;
    }
    case 'pack-bench': {
      const pack = clutchRigOf(lesson, focus)?.pack;
      if (!pack) return <ModelMissing fault="pack-missing" {...frame} />;
      return <PackBenchStage key={focus.id} block={focus} pack={pack} {...frame} />;
    }
  }
}
