import { Fragment } from 'react';
import type { Crop, Method, Path, Season, Setup } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { moneySign } from '../../words/money';
import s from './seedling.module.css';

interface Props {
  season: Season;
  crop: Crop;
  setup: Setup;
  method: Method | undefined;
  save: (path: Path, label: string) => (value: number) => Promise<unknown>;
}

/** The numbers the seedling's cost hangs on, each edited where it stands. */
export function SeedlingFields(props: Props) {
  return (
    <div className={s.fields}>
      <ListAndSeed {...props} />
      <LightAndPower {...props} />
      <Pots {...props} />
      <Offers {...props} />
    </div>
  );
}

function ListAndSeed({ season, crop, method, save }: Props) {
  const lot = season.seed_lots.find(({ id }) => id === crop.lot);
  return (
    <fieldset>
      <legend>List and seed</legend>
      <EditNumber
        name="wanted"
        label="Plants wanted"
        field="crops.wanted"
        value={crop.wanted}
        save={save(['crops', crop.id, 'wanted'], 'plants wanted')}
      />
      {lot && (
        <EditNumber
          name="packet_price"
          label="A packet"
          field="seed_lots.packet_price"
          value={lot.packet_price}
          before={moneySign(season.currency)}
          save={save(['seed_lots', lot.id, 'packet_price'], 'packet price')}
        />
      )}
      {lot?.seeds_per_packet != null && (
        <EditNumber
          name="seeds_per_packet"
          label="Seeds in it"
          field="seed_lots.seeds_per_packet"
          value={lot.seeds_per_packet}
          save={save(['seed_lots', lot.id, 'seeds_per_packet'], 'seeds in a packet')}
        />
      )}
      {method && (
        <EditNumber
          name="seeds_per_site"
          label={method.pattern === 'community' ? 'Seeds to a pot' : 'Seeds to a cell'}
          field="methods.seeds_per_site"
          value={method.seeds_per_site}
          save={save(['methods', method.id, 'seeds_per_site'], 'seeds to a cell')}
        />
      )}
    </fieldset>
  );
}

function LightAndPower({ season, setup, save }: Props) {
  const lights = season.lights.filter(({ id }) => setup.lights.includes(id));
  if (lights.length === 0) return null;
  return (
    <fieldset>
      <legend>Light and power</legend>
      {lights.map((light) => (
        <Fragment key={light.id}>
          <p className={s.thing}>{light.name}</p>
          <EditNumber
            name={`${light.id}.watts`}
            label="Draws"
            of={light.name}
            after="W"
            field="lights.watts"
            value={light.watts}
            save={save(['lights', light.id, 'watts'], 'lamp watts')}
          />
          <EditNumber
            name={`${light.id}.hours_per_day`}
            label="On for"
            of={light.name}
            after="h a day"
            field="lights.hours_per_day"
            value={light.hours_per_day}
            save={save(['lights', light.id, 'hours_per_day'], 'lamp hours')}
          />
        </Fragment>
      ))}
      <EditNumber
        name="rate"
        label="Price of a kWh"
        before={moneySign(season.currency)}
        field="electricity.rate"
        value={season.electricity.rate}
        save={save(['electricity', 'rate'], 'price of a kWh')}
      />
    </fieldset>
  );
}

function Pots({ season, method, save }: Props) {
  const containers = season.containers.filter(({ id }) => method?.stages.some((stage) => stage.container === id));
  if (containers.length === 0) return null;
  return (
    <fieldset>
      <legend>Pots</legend>
      {containers.map((container) => (
        <Fragment key={container.id}>
          <p className={s.thing}>{container.name}</p>
          <EditNumber
            name={`${container.id}.pack_price`}
            label={container.units_per_pack > 1 ? `A pack of ${container.units_per_pack}` : 'One costs'}
            of={container.name}
            before={moneySign(season.currency)}
            field="containers.pack_price"
            value={container.pack_price}
            save={save(['containers', container.id, 'pack_price'], 'pot price')}
          />
          {!container.single_use && (
            <EditNumber
              name={`${container.id}.life_seasons`}
              label="Lasts"
              of={container.name}
              after="seasons"
              field="containers.life_seasons"
              value={container.life_seasons}
              save={save(['containers', container.id, 'life_seasons'], 'pot life')}
            />
          )}
        </Fragment>
      ))}
    </fieldset>
  );
}

function Offers({ season, crop, save }: Props) {
  const offers = season.nursery.filter(({ id }) => crop.nursery.includes(id));
  if (offers.length === 0) return null;
  return (
    <fieldset>
      <legend>At the nursery</legend>
      {offers.map((offer) => (
        <EditNumber
          key={offer.id}
          name={`${offer.id}.price`}
          label={`${offer.name}, ${offer.plants} ${offer.plants === 1 ? 'plant' : 'plants'}`}
          before={moneySign(season.currency)}
          field="nursery.price"
          value={offer.price}
          save={save(['nursery', offer.id, 'price'], 'nursery price')}
        />
      ))}
    </fieldset>
  );
}
