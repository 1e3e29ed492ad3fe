import { useTranslation } from 'react-i18next';
import { SortableList } from '../../shared/SortableList';
import { moved } from './moved';
import '../families/converter/StageSheet.css';

interface Props {
  order: readonly string[];
  nameOf: (id: string) => string;
  /** How to do it. */
  how: string;
  /** After the commit: whether a card lies where it may, and what is said beside it. */
  told: ((id: string, index: number) => { right: boolean; said: string }) | null;
  onOrder: ((order: string[]) => void) | undefined;
}

/** Cards to be put in order, by drag or by keyboard; after the commit each is judged. */
export function OrderSheet({ order, nameOf, how, told, onOrder }: Props) {
  const { t } = useTranslation();
  if (!onOrder)
    return (
      <div className="order-sheet">
        <span className="label">{t('order.yours')}</span>
        <ol className="order-cards">
          {order.map((id, k) => {
            const judged = told?.(id, k);
            return (
              <li key={id} className="order-card" data-right={judged?.right}>
                {nameOf(id)}
                <span className="quiet">{judged?.said}</span>
              </li>
            );
          })}
        </ol>
      </div>
    );
  return (
    <div className="order-sheet">
      <span className="label">{how}</span>
      <SortableList
        className="order-cards"
        label={t('order.yours')}
        items={order.map((id) => ({ id }))}
        nameOf={({ id }) => nameOf(id)}
        onMove={(from, to) => onOrder(moved(order, from, to))}
      >
        {({ id }, handle, k) => (
          <div className="order-card">
            {handle}
            <span className="quiet">{k + 1}</span> {nameOf(id)}
          </div>
        )}
      </SortableList>
    </div>
  );
}
