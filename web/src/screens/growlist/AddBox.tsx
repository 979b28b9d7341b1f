import { useQuery } from '@tanstack/react-query';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { Season, SeasonState, SpeciesFacts } from '../../api/types';
import { useSnapshot, useStore } from '../../season/SeasonContext';

const LETTERS = 2;
const SHOWN = 10;

interface Option { key: string; name: string; hint: string; body: { species?: string; lot?: string } }

const weeks = (facts: SpeciesFacts): string => (facts.start === 'direct' ? 'sown where it grows'
  : `${facts.weeksFrom === facts.weeksTo ? facts.weeksFrom : `${facts.weeksFrom} to ${facts.weeksTo}`} weeks before ${facts.weeksBefore === 'plant_out' ? 'planting out' : 'the last frost'}`);

/** Adds crops: two letters find a species or seed from the drawer; a pasted or typed list adds several at once. */
export function AddBox({ season, added }: { season: Season; added: (state: SeasonState) => void }) {
  const store = useStore();
  const { setup } = useSnapshot();
  const list = useId();
  const [typed, setTyped] = useState('');
  const [active, setActive] = useState(0);
  const [said, setSaid] = useState<{ text: string; trouble: boolean } | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const { data: catalogue } = useQuery({ queryKey: ['catalogue'], queryFn: () => answered(client.GET('/api/catalogue')), staleTime: Infinity });

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
    const found = (name: string) => name.toLowerCase().startsWith(wish) || name.toLowerCase().split(/[\s-]+/).some((word) => word.startsWith(wish));
    return [
      ...season.seed_lots.filter((lot) => found(lot.variety)).map((lot) => ({ key: `lot-${lot.id}`, name: lot.variety, hint: `seed of ${lot.packed_for} in your drawer`, body: { lot: lot.id } })),
      ...(catalogue?.species ?? []).filter((facts) => found(facts.name)).map((facts) => ({ key: facts.id, name: facts.name, hint: weeks(facts), body: { species: facts.id } })),
    ].slice(0, SHOWN);
  }, [typed, season.seed_lots, catalogue]);

  const send = async (body: { text?: string; species?: string; lot?: string }) => {
    setSaid(null);
    setTyped('');
    const before = season.crops.length;
    try {
      const state = await store.run('crops added', () => answered(client.POST('/api/seasons/{season}/crops', { params: { path: { season: store.id } }, body: { ...body, setup } })));
      const more = state.season.crops.length - before;
      const unknown = state.unknown ?? [];
      setSaid({ trouble: unknown.length > 0, text: `${more} ${more === 1 ? 'crop' : 'crops'} added.${unknown.length > 0 ? ` Not understood: ${unknown.join('; ')}. Write each as “8 sweet pepper”.` : ''}` });
      added(state);
    } catch (error) {
      setTyped(body.text ?? '');
      setSaid({ trouble: true, text: words(error) });
    }
  };
  const enter = () => {
    const option = options[active] ?? options[0];
    if (option) void send(option.body);
    else if (typed.trim() !== '') void send({ text: typed });
  };

  return (
    <div className="add">
      <input
        ref={field} name="add" className="add-input" aria-label="Add crops" placeholder="Add: two letters, or paste “8 sweet pepper, 6 tomato”" autoComplete="off"
        role="combobox" aria-expanded={options.length > 0} aria-controls={list} aria-autocomplete="list" aria-activedescendant={options.length > 0 ? `${list}-${active}` : undefined}
        value={typed} onChange={(event) => { setTyped(event.target.value); setActive(0); }}
        onPaste={(event) => {
          const text = event.clipboardData.getData('text');
          if (!/[\n\t,;]/.test(text)) return;
          event.preventDefault();
          void send({ text });
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') enter();
          if (event.key === 'Escape') setTyped('');
          const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
          if (step !== 0 && options.length > 0) {
            event.preventDefault();
            setActive((now) => (now + step + options.length) % options.length);
          }
        }} />
      <ul id={list} role="listbox" aria-label="Crops that begin so" className="add-options" hidden={options.length === 0}>
        {options.map((option, index) => (
          <li key={option.key} id={`${list}-${index}`} role="option" aria-selected={index === active} onMouseDown={(event) => { event.preventDefault(); void send(option.body); }} onMouseEnter={() => setActive(index)}>
            {option.name} <small className="quiet">{option.hint}</small>
          </li>
        ))}
      </ul>
      <p className={said?.trouble ? 'add-said trouble' : 'add-said quiet'} role="status">{said?.text}</p>
    </div>
  );
}
