import { useMutation, useQuery } from '@tanstack/react-query';
import { Button, Popconfirm, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answered, client, words } from '../../api/client';
import type { Shed } from '../../api/types';
import { useSeasons } from '../seasons/useSeasons';
import { Leftovers, useLeftovers } from './Leftovers';
import { SeedWorths } from './SeedWorths';
import s from './shed.module.css';

interface Props {
  rolled: Shed['rolled'];
  changed: () => void;
  learn: (shed: Shed) => void;
}

/** The end of a season: what it leaves goes into the shed, and the next begins with that; one confirmation, and one to undo it. */
export function RollOn({ rolled, changed, learn }: Props) {
  const { data: shelf } = useSeasons();
  const navigate = useNavigate();
  const [picked, pick] = useState<number | null>(null);
  const [way, setWay] = useState<string | null>(null);
  const [cracked, setCracked] = useState<Record<string, number>>({});
  const seasons = shelf?.seasons.filter(({ archived }) => !archived) ?? [];
  const season = seasons.find(({ id }) => id === picked) ?? seasons[0];
  const { data: state } = useQuery({
    queryKey: ['shed-season', season?.id],
    meta: { passing: true },
    enabled: season !== undefined,
    queryFn: () => answered(client.GET('/api/seasons/{season}', { params: { path: { season: season?.id ?? 0 } } })),
  });
  const setups = state?.season.setups ?? [];
  const setup = setups.find(({ id }) => id === way) ?? setups[0];
  // Asked only where nothing was written down: who has kept the log knows what is over.
  const begun = useLeftovers(season?.id, setup?.id).data?.begun;
  const roll = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/seasons/{season}/roll', {
          params: { path: { season: season?.id ?? 0 } },
          body: { setup: setup?.id ?? '', cracked },
        }),
      ),
    onSuccess: ({ id }) => {
      changed();
      void navigate(`/seasons/${id}/list`);
    },
  });
  const back = useMutation({
    mutationFn: (id: number) => answered(client.DELETE('/api/rolls/{roll}', { params: { path: { roll: id } } })),
    onSuccess: learn,
  });
  if (season === undefined || state === undefined) return null;
  return (
    <>
      <section aria-labelledby="worth-title" data-part="seed-worth">
        <h2 id="worth-title">Old seed: keep, test or throw out</h2>
        <Pickers
          seasons={seasons}
          season={season.id}
          pick={(id) => {
            pick(id);
            setWay(null);
            setCracked({});
          }}
          setups={setups}
          setup={setup?.id ?? ''}
          setWay={setWay}
        />
        {setup && <SeedWorths season={season.id} setup={setup.id} currency={state.season.currency} />}
      </section>
      <section aria-labelledby="roll-title" data-part="roll-on">
        <h2 id="roll-title">Carry “{state.season.name}” over to next year</h2>
        {rolled !== null && <Undo rolled={rolled} undo={() => back.mutate(rolled.id)} />}
        <Stays stays={back.data?.stays ?? []} />
        {setup && (
          <Leftovers season={season.id} setup={setup.id} us={state.season.units === 'us'} cracked={cracked} crack={setCracked} />
        )}
        {(roll.error ?? back.error) && (
          <p className="trouble" role="alert">
            {words(roll.error ?? back.error)}
          </p>
        )}
        <Begin season={state.season} begun={begun} rolling={roll.isPending} roll={() => roll.mutate()} />
        <p className={s.note}>Seed is a year older then, and lamps and pots have served one more season. You can undo it.</p>
      </section>
    </>
  );
}

interface BeginProps {
  season: { name: string; year: number };
  /** Whether anything was written down; undefined while that is not known. */
  begun: boolean | undefined;
  rolling: boolean;
  roll: () => void;
}

/** Asks first where nothing was written down. */
function Begin({ season, begun, rolling, roll }: BeginProps) {
  return (
    <Popconfirm
      title={`Nothing is written down of “${season.name}” yet.`}
      description="What is left is then worked out from the plan alone. Carry it over anyway?"
      okText="Carry it over"
      cancelText="Not yet"
      disabled={begun !== false}
      onConfirm={roll}
    >
      <Button type="primary" loading={rolling} disabled={begun === undefined} onClick={() => begun && roll()} data-action="roll">
        Begin {Number(season.year) + 1} with what is left
      </Button>
    </Popconfirm>
  );
}

/** What was carried over last, and how to take it back. */
function Undo({ rolled, undo }: { rolled: NonNullable<Shed['rolled']>; undo: () => void }) {
  return (
    <p>
      “{rolled.from}” was carried over into “{rolled.made}”.{' '}
      <Popconfirm
        title={`Undo carrying “${rolled.from}” over?`}
        description={`“${rolled.made}” goes into the bin. The shed gets back what it had, except where you changed it since.`}
        okText="Undo it"
        cancelText="Keep it"
        onConfirm={undo}
      >
        <button type="button" className="plain" data-action="roll-back">
          Undo this
        </button>
      </Popconfirm>
    </p>
  );
}

/** What undoing could not bring back, with why. */
function Stays({ stays }: { stays: { name: string; why: string }[] }) {
  if (stays.length === 0) return null;
  return (
    <div role="status" data-part="stays">
      <p>Undone. These things stay as they are:</p>
      <ul>
        {stays.map(({ name, why }) => (
          <li key={name}>
            {name}: {why}
          </li>
        ))}
      </ul>
    </div>
  );
}

interface PickersProps {
  seasons: { id: number; name: string }[];
  season: number;
  pick: (season: number) => void;
  setups: { id: string; name: string }[];
  setup: string;
  setWay: (setup: string) => void;
}

function Pickers({ seasons, season, pick, setups, setup, setWay }: PickersProps) {
  return (
    <div className={s.pickers}>
      <label>
        Season{' '}
        <Select
          aria-label="Season"
          value={season}
          onChange={pick}
          popupMatchSelectWidth={false}
          options={seasons.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </label>
      <label>
        Set-up{' '}
        <Select
          aria-label="Set-up"
          value={setup}
          onChange={setWay}
          popupMatchSelectWidth={false}
          options={setups.map(({ id, name }) => ({ value: id, label: name }))}
        />
      </label>
    </div>
  );
}
