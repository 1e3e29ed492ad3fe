import { Select } from 'antd';
import { useTranslation } from 'react-i18next';
import { CASE, type Unit } from '../../../../core/geartrain';
import { addMember } from './unitEdits';

interface Props {
  unit: Unit;
  label: string;
  value: string;
  /** The unit comes back with a new member in it, when one was asked for. */
  onMember: (member: string, unit: Unit) => void;
  withCase?: boolean;
}

const NEW = ':new';

/** Chooses the member at a port: one of the unit's, the case, or a new one. */
export function MemberSelect({ unit, label, value, onMember, withCase = true }: Props) {
  const { t } = useTranslation();
  return (
    <Select
      aria-label={label}
      value={value}
      style={{ width: '100%' }}
      onChange={(chosen) => {
        if (chosen !== NEW) return onMember(chosen, unit);
        const added = addMember(unit, t('unitEditor.newMember', { n: unit.members.length + 1 }));
        onMember(added.id, added.unit);
      }}
      options={[
        ...unit.members.map((m) => ({ value: m.id, label: m.name || m.id })),
        ...(withCase ? [{ value: CASE, label: t('apply.case') }] : []),
        { value: NEW, label: t('unitEditor.addMember') },
      ]}
    />
  );
}
