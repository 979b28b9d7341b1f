import { Select } from 'antd';
import { useOnScreen, useStore } from '../season/SeasonContext';
import s from './page.module.css';

/** Which set-up's figures are on screen. */
export function SetupPicker() {
  const store = useStore();
  const shown = useOnScreen();
  return (
    <label className={s.setupPicker}>
      Set-up
      <Select
        aria-label="Set-up"
        value={shown?.setup.id}
        loading={shown === null}
        onChange={store.show}
        options={shown?.season.setups.map(({ id, name }) => ({ value: id, label: name })) ?? []}
        popupMatchSelectWidth={false}
      />
    </label>
  );
}
