import { Input, Select } from 'antd';
import { SetupPicker } from '../../page/SetupPicker';
import { ORDERS, type Order } from './order';

interface Props {
  /** There is something to put in order. */
  any: boolean;
  order: Order;
  setOrder: (order: Order) => void;
  filter: string;
  setFilter: (filter: string) => void;
}

/** The set-up, the order of the lines, and which of them are shown. */
export function ListTools({ any, order, setOrder, filter, setFilter }: Props) {
  return (
    <div className="list-tools">
      <SetupPicker />
      {any && (
        <>
          <label>
            Order
            <Select<Order> aria-label="Order" value={order} onChange={setOrder} options={ORDERS} popupMatchSelectWidth={false} />
          </label>
          <label>
            Only
            <Input
              name="filter"
              aria-label="Show only"
              allowClear
              placeholder="tomato, buy, cells…"
              value={filter}
              onChange={(event) => setFilter(event.target.value)}
            />
          </label>
        </>
      )}
    </div>
  );
}
