import { Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import { REACTIONS, type Reaction, type Roles } from '../../core/geartrain';

interface Props {
  roles: Roles;
  onRoles: (roles: Roles) => void;
}

/** What the part does that neither drives nor is driven. */
export function ReactionPicker({ roles, onRoles }: Props) {
  const { t } = useTranslation();
  return (
    <div className="row third-part">
      <span className="label">{t('bench.thirdPart')}</span>
      <Segmented
        size="small"
        aria-label={t('bench.thirdPart')}
        value={roles.reaction}
        onChange={(reaction: Reaction) => onRoles({ ...roles, reaction })}
        options={REACTIONS.map((r) => ({ value: r, label: t(`reactions.${r}`) }))}
      />
    </div>
  );
}
