import { Select } from 'antd';
import { useCatalogue } from '../season/useCatalogue';

/** One of the world's currencies, found by its code or its name. */
export function CurrencySelect({ value, onChange }: { value?: string; onChange?: (code: string) => void }) {
  const { data } = useCatalogue();
  const known = data?.currencies ?? [];
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
