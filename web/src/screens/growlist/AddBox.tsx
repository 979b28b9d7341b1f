import { useQuery } from '@tanstack/react-query';
import { AutoComplete, Input, type InputRef } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Season, SeasonState } from '../../api/types';
import { useSnapshot, useStore } from '../../season/SeasonContext';

const LETTERS = 2;
const SHOWN = 12;

interface Option { value: string; label: React.ReactNode; text: string; body: { species?: string; lot?: string } }

/** Adds crops: two letters find a species or seed from the drawer; a pasted or typed list adds several at once. */
export function AddBox({ season, added }: { season: Season; added: (state: SeasonState) => void }) {
  const store = useStore();
  const { setup } = useSnapshot();
  const [typed, setTyped] = useState('');
  const [said, setSaid] = useState<{ text: string; trouble: boolean } | null>(null);
  const field = useRef<InputRef>(null);
  const { data: catalogue } = useQuery({ queryKey: ['catalogue'], queryFn: () => answered(client.GET('/api/catalogue')), staleTime: Infinity });

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === '/' && !(event.target instanceof HTMLInputElement) && !(event.target instanceof HTMLTextAreaElement)) {
        event.preventDefault();
        field.current?.focus();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);

  const options = useMemo<Option[]>(() => {
    const wish = typed.trim().toLowerCase();
    if (wish.length < LETTERS || /[\d,;]/.test(wish)) return [];
    const found = (name: string) => name.toLowerCase().split(/[\s-]+/).some((word) => word.startsWith(wish)) || name.toLowerCase().startsWith(wish);
    const lots = season.seed_lots.filter((lot) => found(lot.variety)).map((lot): Option => ({ value: `lot:${lot.id}`, text: lot.variety, body: { lot: lot.id }, label: <>{lot.variety} <small className="quiet">seed of {lot.packed_for} in your drawer</small></> }));
    const species = (catalogue?.species ?? []).filter((facts) => found(facts.name)).map((facts): Option => ({
      value: `species:${facts.id}`, text: facts.name, body: { species: facts.id },
      label: <>{facts.name} <small className="quiet">{facts.start === 'direct' ? 'sown where it grows' : `${facts.weeksFrom === facts.weeksTo ? facts.weeksFrom : `${facts.weeksFrom} to ${facts.weeksTo}`} weeks before ${facts.weeksBefore === 'plant_out' ? 'planting out' : 'the last frost'}`}</small></>,
    }));
    return [...lots, ...species].slice(0, SHOWN);
  }, [typed, season.seed_lots, catalogue]);

  const send = async (body: { text?: string; species?: string; lot?: string }) => {
    setSaid(null);
    const before = season.crops.length;
    try {
      const state = await store.run('crops added', () => answered(client.POST('/api/seasons/{season}/crops', { params: { path: { season: store.id } }, body: { ...body, setup } })));
      const more = state.season.crops.length - before;
      const unknown = state.unknown ?? [];
      setSaid({ trouble: unknown.length > 0, text: `${more} ${more === 1 ? 'crop' : 'crops'} added.${unknown.length > 0 ? ` Not understood: ${unknown.join('; ')}. Write each as “8 sweet pepper”.` : ''}` });
      setTyped(unknown.join(', '));
      added(state);
    } catch (error) {
      setSaid({ trouble: true, text: words(error) });
    }
  };

  return (
    <div className="add">
      <AutoComplete<string, Option> value={typed} options={options} popupMatchSelectWidth={380} defaultActiveFirstOption style={{ width: '100%' }}
        onChange={(value) => !value.includes(':') && setTyped(value)} onSelect={(_, option) => void send(option.body)}>
        <Input ref={field} name="add" aria-label="Add crops" placeholder="Add: two letters, or paste “8 sweet pepper, 6 tomato”" autoComplete="off"
          onPaste={(event) => {
            const text = event.clipboardData.getData('text');
            if (/[\n\t,;]/.test(text)) {
              event.preventDefault();
              void send({ text });
            }
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && options.length === 0 && typed.trim() !== '') void send({ text: typed });
            if (event.key === 'Escape') setTyped('');
          }} />
      </AutoComplete>
      <p className={said?.trouble ? 'add-said trouble' : 'add-said quiet'} role="status">{said?.text}</p>
    </div>
  );
}
