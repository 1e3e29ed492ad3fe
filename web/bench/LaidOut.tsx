import { Spin } from 'antd';
import { startTransition, useEffect, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { SectionDrawing } from '../../core/drawing';
import type { Unit } from '../../core/geartrain';
import { reasonOf } from '../shared/reasonOf';
import { useServices } from '../state/hooks';
import { shapeOf } from '../workers/sectionLayouts';

/** A first drawing is only shown where the best takes longer than this, so that most units do not jump. */
const SETTLES_MS = 120;

/** The laid-out section, from a worker: of a wide unit a first one at once, then the one with the fewest crossings. */
export function LaidOut({
  unit,
  children,
}: {
  unit: Unit;
  children: (d: SectionDrawing) => ReactNode;
}) {
  const { t } = useTranslation();
  const { sections } = useServices();
  const shape = shapeOf(unit);
  const known = sections.known(unit);
  const [last, setLast] = useState<{ id: string; columns: readonly string[] }>();
  const [first, setFirst] = useState<{ shape: string; drawing: SectionDrawing }>();
  const [failure, setFailure] = useState<{ shape: string; reason: string }>();
  useEffect(() => {
    const cancel = new AbortController();
    const keep = last?.id === unit.id ? last.columns : [];
    let waited: ReturnType<typeof setTimeout> | undefined;
    const onFirst = (drawing: SectionDrawing) => {
      waited = setTimeout(() => startTransition(() => setFirst({ shape, drawing })), SETTLES_MS);
    };
    sections.layOut(unit, keep, cancel.signal, onFirst).then(
      ({ columns }) => startTransition(() => setLast({ id: unit.id, columns })),
      (error: unknown) => {
        if (!cancel.signal.aborted) setFailure({ shape, reason: reasonOf(error) });
      },
    );
    return () => {
      clearTimeout(waited);
      cancel.abort();
    };
    // `shape` stands for the unit: its names and ranges move no line.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [shape, sections]);
  if (known) return children(known);
  if (first?.shape === shape) return children(first.drawing);
  if (failure?.shape === shape)
    return <p className="sheet-wait">{t('apply.notDrawn', { reason: failure.reason })}</p>;
  return (
    <div className="sheet-wait">
      <Spin />
      <p>{t('apply.layingOut')}</p>
    </div>
  );
}
