import { Select } from 'antd';
import { useCatalogue } from '../season/useCatalogue';

/** One of the world's currencies, found by its code or its name; with `priced` one in which the catalogue knows prices. */
export function CurrencySelect({
  value,
  onChange,
  priced = false,
}: {
  value?: string;
  onChange?: (code: string) => void;
  priced?: boolean;
}) {
  const { data } = useCatalogue();
  const levels = new Set((data?.price_levels ?? []).map(({ currency }) => currency));
  const known = (data?.currencies ?? []).filter(({ code }) => !priced || levels.has(code));
  const options = known.map(({ code, name }) => ({ value: code, label: `${code}, ${name}` }));
  return (
    <Select
      aria-label="Currency"
      showSearch={{ optionFilterProp: 'label' }}
      value={value}
      onChange={onChange}
      loading={!data}
      popupMatchSelectWidth={false}
      labelRender={({ value: code }) => code}
      options={options}
      style={{ minWidth: 100 }}
    />
  );
}
