import { clsx } from 'clsx';
import { AutoComplete, Input, type InputRef } from 'antd';
import { useRef, useState } from 'react';
import { useLocation } from 'react-router';
import { answered, client, words } from '../../api/client';
import type { AskedCrop as Asked, NewCrops, Season, SeasonState } from '../../api/types';
import { useSlashKey } from '../../edit/useSlashKey';
import { useSnapshot, useStore } from '../../season/SeasonContext';
import { AskedCrop } from './AskedCrop';
import { useCropOptions, type CropOption } from './cropOptions';
import s from './growlist.module.css';
import { useAddText } from './useAddText';

/** Adds crops: two letters find a species or seed from the drawer; a pasted or typed list adds several at once. */
export function AddBox({ season, added }: { season: Season; added: (state: SeasonState) => void }) {
  const store = useStore();
  const { setup } = useSnapshot();
  const { typed, type, begin, round } = useAddText();
  const [said, setSaid] = useState<{ text: string; trouble: boolean } | null>(null);
  // What the first list left open, where one comes from the questions of a new garden.
  const { state: brought } = useLocation() as { state: { asked?: Asked[] } | null };
  const [asked, setAsked] = useState<Asked[]>(brought?.asked ?? []);
  const field = useRef<InputRef>(null);
  useSlashKey(field);
  const options = useCropOptions(season, typed);
  /** Adds what was typed or chosen; `answers` names the line that was asked about and is answered with it. */
  const send = async (body: NewCrops, answers?: string) => {
    setSaid(null);
    if (answers === undefined) begin('');
    const before = season.crops.length;
    try {
      const request = { params: { path: { season: store.id } }, body: { ...body, setup } };
      const state = await store.run('crops added', () => answered(client.POST('/api/seasons/{season}/crops', request)));
      const more = state.season.crops.length - before;
      setAsked((now) => [...now.filter(({ text }) => text !== answers), ...(state.asked ?? [])]);
      if (more > 0) setSaid({ trouble: false, text: `${more} ${more === 1 ? 'crop' : 'crops'} added.` });
      added(state);
    } catch (error) {
      if (answers === undefined) begin(body.text ?? '');
      setSaid({ trouble: true, text: words(error) });
    }
  };
  return (
    <div className={s.add}>
      <AutoComplete
        key={round.number}
        defaultValue={round.begins}
        autoFocus={round.number > 0}
        options={options}
        onSearch={type}
        popupMatchSelectWidth
        defaultActiveFirstOption
        className={s.addField}
        optionRender={({ data }) => (
          <>
            {data.name} <small className="quiet">{data.hint}</small>
          </>
        )}
        onSelect={(_: string, option: CropOption) => void send(option.body)}
      >
        <Input
          ref={field}
          name="add"
          aria-label="Add crops"
          placeholder="Type a crop and press Enter, or paste “8 sweet pepper, 6 tomato”"
          autoComplete="off"
          onPaste={(event) => {
            const text = event.clipboardData.getData('text');
            if (!/[\n\t,;]/.test(text)) return;
            event.preventDefault();
            void send({ text });
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && options.length === 0 && typed.trim() !== '') void send({ text: typed });
            if (event.key === 'Escape') begin('');
          }}
        />
      </AutoComplete>
      <p className={said?.trouble ? clsx('trouble', s.addSaid) : clsx('quiet', s.addSaid)} data-part="add-said" role="status">
        {said?.text}
      </p>
      {asked[0] !== undefined && (
        <AskedCrop
          key={asked[0].text}
          asked={asked[0]}
          more={asked.length - 1}
          add={(body) => void send(body, asked[0]?.text)}
          leave={() => setAsked((now) => now.slice(1))}
        />
      )}
    </div>
  );
}
