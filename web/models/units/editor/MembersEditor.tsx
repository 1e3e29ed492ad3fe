import { Button, Input, Select } from 'antd';
import { memo } from 'react';
import { useTranslation } from 'react-i18next';
import { MOST_NAME } from '../../../../core/formats';
import type { Member } from '../../../../core/geartrain';
import { DeleteOutlined, PlusOutlined } from '../../../shared/icons';
import { useNear } from '../../../shared/useNear';
import { isLarge } from '../../../workers/unitWorker';
import type { EditorProps } from './editorProps';
import { addMember, changeMember, removeMember, tiesOf } from './unitEdits';

/** Everything that turns: its name, and what it is tied to. Links are made at the ports of sets and elements. */
export const MembersEditor = memo(function MembersEditor({ unit, onUnit }: EditorProps) {
  const { t } = useTranslation();
  const options = unit.members.map((m) => ({ value: m.id, label: m.name || m.id }));
  return (
    <>
      <div className="member-ends">
        {(['input', 'output'] as const).map((end) => (
          <label key={end} className="field">
            <span className="label">{t(`unitEditor.${end}`)}</span>
            <Select
              aria-label={t(`unitEditor.${end}`)}
              value={unit[end]}
              onChange={(id) => onUnit({ ...unit, [end]: id })}
              options={options}
            />
          </label>
        ))}
      </div>
      <ul className="member-list" aria-label={t('apply.members')}>
        {unit.members.map((member) => (
          <MemberRow key={member.id} unit={unit} onUnit={onUnit} member={member} />
        ))}
      </ul>
      <Button
        icon={<PlusOutlined />}
        onClick={() =>
          onUnit(addMember(unit, t('unitEditor.newMember', { n: unit.members.length + 1 })).unit)
        }
      >
        {t('unitEditor.addMember')}
      </Button>
    </>
  );
});

/** px */
const ROW_HEIGHT = 40;

function MemberRow({ unit, onUnit, member }: EditorProps & { member: Member }) {
  const { t } = useTranslation();
  const { ref, near, height } = useNear<HTMLLIElement>(isLarge(unit), ROW_HEIGHT);
  if (!near) return <li ref={ref} style={{ height }} />;
  const ties = tiesOf(unit, member.id);
  const isEnd = member.id === unit.input || member.id === unit.output;
  return (
    <li ref={ref}>
      <Input
        aria-label={t('unitEditor.memberName', { id: member.id })}
        maxLength={MOST_NAME}
        value={member.name}
        onChange={(e) =>
          onUnit(changeMember(unit, { ...member, name: e.target.value }), `member ${member.id}`)
        }
      />
      <span className="quiet">{ties.length === 0 ? t('unitEditor.untied') : ties.join(' ')}</span>
      <Button
        size="small"
        type="text"
        icon={<DeleteOutlined />}
        disabled={ties.length > 0 || isEnd}
        title={ties.length > 0 || isEnd ? t('unitEditor.stillTied') : undefined}
        aria-label={t('unitEditor.remove', { name: member.name })}
        onClick={() => onUnit(removeMember(unit, member.id))}
      />
    </li>
  );
}
