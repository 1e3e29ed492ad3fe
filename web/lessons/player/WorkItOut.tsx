import { Button } from 'antd';
import { useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';

/** The lines that lead to an answer, once they are asked for. */
export function WorkItOut({ children }: { children: ReactNode }) {
  const { t } = useTranslation();
  const [worked, setWorked] = useState(false);
  return worked ? (
    children
  ) : (
    <Button onClick={() => setWorked(true)}>{t('reveal.workItOut')}</Button>
  );
}
