import { clsx } from 'clsx';
import { AutoComplete, Input, type InputRef } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import { answered, client, words } from '../../api/client';
import type { AskedCrop as Asked, NewCrops, Season, SeasonState, SpeciesFacts } from '../../api/types';
import { typed as kept, useFieldName } from '../../edit/typed';
import { useSnapshot, useStore } from '../../season/SeasonContext';
import { useCatalogue } from '../../season/useCatalogue';
import { AskedCrop } from './AskedCrop';
import s from './growlist.module.css';

const LETTERS = 2;
const SHOWN = 10;

interface Option {
  value: string;
  name: string;
  hint: string;
  body: { species?: string; lot?: string };
}

const weeks = (facts: SpeciesFacts): string => {
  if (facts.raising === 'root' || facts.raising === 'bed') return 'sown where it grows';
  const span = facts.weeksFrom === facts.weeksTo ? facts.weeksFrom : `${facts.weeksFrom} to ${facts.weeksTo}`;
  return `${span} weeks before planting out`;
};

/** Adds crops: two letters find a species or seed from the drawer; a pasted or typed list adds several at once. */
export function AddBox({ season, added }: { season: Season; added: (state: SeasonState) => void }) {
  const store = useStore();
  const { setup } = useSnapshot();
  const fieldName = useFieldName('add');
  const [typed, setTyped] = useState(() => kept.get(fieldName)?.text ?? '');
  /** The field keeps what is typed by itself; another round is a new field, with this in it. */
  const [round, setRound] = useState({ number: 0, begins: typed });
  const type = (text: string) => {
    setTyped(text);
    if (text === '') kept.drop(fieldName);
    else kept.put(fieldName, text, '');
  };
  const begin = (text: string) => {
    type(text);
    setRound(({ number }) => ({ number: number + 1, begins: text }));
  };
  const [said, setSaid] = useState<{ text: string; trouble: boolean } | null>(null);
  // What the first list left open, where one comes from the questions of a new garden.
  const { state: brought } = useLocation() as { state: { asked?: Asked[] } | null };
  const [asked, setAsked] = useState<Asked[]>(brought?.asked ?? []);
  const field = useRef<InputRef>(null);
  const { data: catalogue } = useCatalogue();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '/' || event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement) return;
      event.preventDefault();
      field.current?.focus();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  const options = useMemo<Option[]>(() => {
    const wish = typed.trim().toLowerCase();
    if (wish.length < LETTERS || /[\d,;]/.test(wish)) return [];
    const found = (name: string) =>
      name.toLowerCase().startsWith(wish) ||
      name
        .toLowerCase()
        .split(/[\s-]+/)
        .some((word) => word.startsWith(wish));
    return [
      ...season.seed_lots
        .filter((lot) => found(lot.variety))
        .map((lot) => ({
          value: `lot-${lot.id}`,
          name: lot.variety,
          hint: `seed of ${lot.packed_for} in your drawer`,
          body: { lot: lot.id },
        })),
      ...(catalogue?.species ?? [])
        .filter((facts) => found(facts.name))
        .map((facts) => ({ value: `species-${facts.id}`, name: facts.name, hint: weeks(facts), body: { species: facts.id } })),
    ].slice(0, SHOWN);
  }, [typed, season.seed_lots, catalogue]);
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
        onSelect={(_: string, option: Option) => void send(option.body)}
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
