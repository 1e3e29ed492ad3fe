import { Button, Input, Select } from 'antd';
import { memo } from 'react';
import { useTranslation } from 'react-i18next';
import { MOST_NAME } from '../../../../core/formats';
import { isSleeveSide, type ElementKind, type ShiftElement } from '../../../../core/geartrain';
import { DeleteOutlined, PlusOutlined } from '../../../shared/icons';
import { CardWhenNear } from '../../../shared/CardWhenNear';
import { isLarge } from '../../../workers/unitWorker';
import { MemberSelect } from './MemberSelect';
import type { EditorProps } from './editorProps';
import {
  addElement,
  changeElement,
  changeInterlock,
  isGrounded,
  removeElement,
  shareSleeve,
  sleeveMates,
  withKind,
} from './unitEdits';

const KINDS: readonly ElementKind[] = ['clutch', 'brake', 'band', 'one-way', 'dog'];

/** Clutches, dogs, brakes, bands and one-way clutches, and the members that each stands between. */
export const ElementsEditor = memo(function ElementsEditor({ unit, onUnit }: EditorProps) {
  const { t } = useTranslation();
  return (
    <>
      {unit.elements.map((element, k) => {
        const change = (next: ShiftElement, field?: string) =>
          onUnit(changeElement(unit, k, next), field);
        return (
          <CardWhenNear
            key={k}
            className="part-card"
            label={element.id}
            long={isLarge(unit)}
            height={110}
          >
            <div className="element-head">
              <Input
                aria-label={t('unitEditor.elementId', { n: k + 1 })}
                value={element.id}
                maxLength={12}
                onChange={(e) => change({ ...element, id: e.target.value.trim() }, `id ${k}`)}
              />
              <Input
                aria-label={t('unitEditor.elementName', { id: element.id })}
                value={element.name}
                maxLength={MOST_NAME}
                onChange={(e) => change({ ...element, name: e.target.value }, `name ${k}`)}
              />
              <Button
                size="small"
                type="text"
                icon={<DeleteOutlined />}
                aria-label={t('unitEditor.remove', { name: element.id })}
                onClick={() => onUnit(removeElement(unit, k))}
              />
            </div>
            <div className="element-between">
              <Select
                aria-label={t('unitEditor.elementKind', { id: element.id })}
                value={element.kind}
                onChange={(kind) => change(withKind(unit, element, kind))}
                options={KINDS.map((kind) => ({ value: kind, label: t(`elementKinds.${kind}`) }))}
              />
              {([0, 1] as const).map((side) =>
                isGrounded(element.kind) && side === 1 ? (
                  <span key={side} className="quiet">
                    {t('unitEditor.toCase')}
                  </span>
                ) : (
                  <MemberSelect
                    key={side}
                    unit={unit}
                    label={t(`unitEditor.sides.${side}`, { id: element.id })}
                    value={element.between[side]}
                    withCase={!isGrounded(element.kind)}
                    onMember={(member, next) => {
                      const between: [string, string] = [...element.between];
                      between[side] = member;
                      onUnit(changeElement(next, k, { ...element, between }));
                    }}
                  />
                ),
              )}
            </div>
            {isSleeveSide(element) && (
              <SleeveFields unit={unit} element={element} onUnit={onUnit} />
            )}
            {element.kind === 'one-way' && (
              <p className="quiet part-hint">{t('unitEditor.oneWaySaid')}</p>
            )}
          </CardWhenNear>
        );
      })}
      <div className="row part-add">
        {KINDS.map((kind) => (
          <Button
            key={kind}
            icon={<PlusOutlined />}
            disabled={unit.members.length < 2}
            onClick={() => onUnit(addElement(unit, kind, t(`elementKinds.${kind}`)))}
          >
            {t(`elementKinds.${kind}`)}
          </Button>
        ))}
      </div>
    </>
  );
});

const ALONE = '';

/** Which other gear this one shares its sleeve with, and which interlock keeps that sleeve from others. */
function SleeveFields({ unit, element, onUnit }: EditorProps & { element: ShiftElement }) {
  const { t } = useTranslation();
  const mates = sleeveMates(unit, element);
  const sleeve = unit.sleeves?.find((s) => s.sides.includes(element.id));
  const mate = sleeve?.sides.find((id) => id !== null && id !== element.id) ?? ALONE;
  if (mates.length === 0) return null;
  return (
    <div className="element-between">
      <Select<string>
        aria-label={t('unitEditor.sleeveWith', { id: element.id })}
        value={mate}
        onChange={(id) =>
          onUnit(shareSleeve(unit, element, mates.find((m) => m.id === id) ?? null))
        }
        options={[
          { value: ALONE, label: t('unitEditor.ownSleeve') },
          ...mates.map(({ id }) => ({ value: id, label: t('unitEditor.withSleeve', { id }) })),
        ]}
      />
      {sleeve && (
        <Input
          aria-label={t('unitEditor.interlock', { id: element.id })}
          placeholder={t('unitEditor.noInterlock')}
          value={sleeve.interlock ?? ''}
          maxLength={12}
          onChange={(e) =>
            onUnit(changeInterlock(unit, sleeve.id, e.target.value.trim()), `lock ${sleeve.id}`)
          }
        />
      )}
    </div>
  );
}
