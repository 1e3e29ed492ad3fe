import { Button, Checkbox } from 'antd';
import { memo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  FEWEST_TEETH,
  MOST_PINIONS,
  MOST_TEETH,
  portsOf,
  type GearSet,
} from '../../../../core/geartrain';
import { DeleteOutlined, PlusOutlined } from '../../../shared/icons';
import { CardWhenNear } from '../../../shared/CardWhenNear';
import { isLarge } from '../../../workers/unitWorker';
import { MemberSelect } from './MemberSelect';
import type { EditorProps } from './editorProps';
import { addGearSet, changeGearSet, removeGearSet } from './unitEdits';
import { TypedNumber } from '../../../shared/TypedNumber';

const KINDS = ['single-pinion', 'double-pinion', 'mesh'] as const;

/** Gear sets and pairs: which member stands at each port, and with how many teeth. */
export const GearSetsEditor = memo(function GearSetsEditor({ unit, onUnit }: EditorProps) {
  const { t } = useTranslation();
  return (
    <>
      {unit.gearsets.map((set, k) => (
        <CardWhenNear
          key={set.id}
          className="part-card"
          label={set.id}
          long={isLarge(unit)}
          height={190}
        >
          <header className="row">
            <strong>{set.id}</strong>
            <span className="quiet">{t(`kinds.${set.kind}`)}</span>
            <Button
              size="small"
              type="text"
              icon={<DeleteOutlined />}
              aria-label={t('unitEditor.remove', { name: set.id })}
              onClick={() => onUnit(removeGearSet(unit, k))}
            />
          </header>
          {portsOf(set).map(({ port, member }) => (
            <div key={port} className="part-port">
              <span>{t(`ports.${port}`)}</span>
              <MemberSelect
                unit={unit}
                label={t('unitEditor.memberAt', { set: set.id, port: t(`ports.${port}`) })}
                value={member}
                onMember={(chosen, next) =>
                  onUnit(changeGearSet(next, k, { ...set, [port]: chosen }))
                }
              />
              {port !== 'carrier' && (
                <Teeth unit={unit} onUnit={onUnit} set={set} index={k} part={port} />
              )}
            </div>
          ))}
          <PinionRow unit={unit} onUnit={onUnit} set={set} index={k} />
        </CardWhenNear>
      ))}
      <div className="row part-add">
        {KINDS.map((kind) => (
          <Button
            key={kind}
            icon={<PlusOutlined />}
            onClick={() =>
              onUnit(
                addGearSet(unit, kind, (port, id) =>
                  t('unitEditor.portMember', { set: id, port: t(`ports.${port}`) }),
                ),
              )
            }
          >
            {t(`kinds.${kind}`)}
          </Button>
        ))}
      </div>
    </>
  );
});

interface TeethProps extends EditorProps {
  set: GearSet;
  index: number;
  part: string;
}

/** Teeth of one gear. A pinion's may be left empty: then only ratios are known. */
function Teeth({ unit, onUnit, set, index, part }: TeethProps) {
  const { t } = useTranslation();
  const teeth = set.teeth as unknown as Record<string, number | undefined>;
  const optional = part === 'pinion' || part === 'inner' || part === 'outer';
  const change = (value: number | null) => {
    if (value === null && !optional) return;
    const next = { ...teeth };
    if (value === null) delete next[part];
    else next[part] = value;
    const changed = { ...set, teeth: next } as unknown as GearSet;
    onUnit(changeGearSet(unit, index, changed), `teeth ${set.id} ${part}`);
  };
  return (
    <TypedNumber
      label={t('unitEditor.teethOf', { set: set.id, part: t(`ports.${part}`) })}
      min={FEWEST_TEETH}
      max={MOST_TEETH}
      precision={0}
      value={teeth[part] ?? null}
      onValue={change}
      suffix={t('unitEditor.teethShort')}
      style={{ width: '100%' }}
    />
  );
}

/** Pinion teeth and how many there are; for a pair, whether it meshes inside. */
function PinionRow({ unit, onUnit, set, index }: Omit<TeethProps, 'part'>) {
  const { t } = useTranslation();
  if (set.kind === 'mesh')
    return (
      <Checkbox
        checked={set.internal ?? false}
        onChange={(e) => onUnit(changeGearSet(unit, index, { ...set, internal: e.target.checked }))}
      >
        {t('unitEditor.internal')}
      </Checkbox>
    );
  const parts =
    set.kind === 'single-pinion' ? (['pinion'] as const) : (['inner', 'outer'] as const);
  return (
    <div className="part-pinions">
      {parts.map((part) => (
        <label key={part}>
          <span>{t(`teeth.${part}`)}</span>
          <Teeth unit={unit} onUnit={onUnit} set={set} index={index} part={part} />
        </label>
      ))}
      <label>
        <span>{t(set.kind === 'single-pinion' ? 'teeth.pinions' : 'teeth.pairs')}</span>
        <TypedNumber
          label={t('unitEditor.pinionsOf', { set: set.id })}
          min={1}
          max={MOST_PINIONS}
          precision={0}
          value={set.pinions ?? 3}
          onValue={(pinions) =>
            pinions !== null &&
            onUnit(changeGearSet(unit, index, { ...set, pinions }), `pinions ${set.id}`)
          }
          style={{ width: '100%' }}
        />
      </label>
    </div>
  );
}
