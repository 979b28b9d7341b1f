import { useState } from 'react';
import { words } from '../../api/client';
import { AddThing } from '../../edit/AddThing';
import { FieldsOf } from '../../edit/typed';
import { useOnScreen, type OnScreen } from '../../season/SeasonContext';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { MixPart } from './MixPart';
import { PotEditor } from './PotEditor';
import { Shelf } from './Shelf';
import { SuppliesPart } from './SuppliesPart';
import { TraysPart } from './TraysPart';
import { usePotting } from './usePotting';

/** Pots and soil mix: pots to scale, mixes as jars, bags and bales. */
export function PotsScreen() {
  const shown = useOnScreen();
  return <PlanningPage>{shown && <Pots shown={shown} />}</PlanningPage>;
}

function Pots({ shown }: { shown: OnScreen }) {
  const { season, setup, id, revision } = shown;
  const { data, error } = usePotting(id, setup.id, revision);
  const [chosen, choose] = useState<string | null>(null);
  const [all, setAll] = useState(true);
  if (error) return <p role="alert">{words(error)}</p>;
  if (!data)
    return (
      <p className="quiet" aria-busy="true">
        Measuring the pots…
      </p>
    );
  const pot = season.containers.find((row) => row.id === chosen);
  const none = data.in_use.length === 0 && !all;
  return (
    <>
      <div className="list-head">
        <div>
          <h1>Pots and soil mix</h1>
          <p className="quiet">
            Drawn to scale. The price under a pot is for one plant: its share of the pot, the mix and the washing.
          </p>
          <div className="list-tools">
            <SetupPicker />
            {season.containers.length > data.in_use.length && (
              <label className="tick">
                <input type="checkbox" name="all_pots" checked={all} onChange={(event) => setAll(event.target.checked)} /> show
                pots this set-up does not use
              </label>
            )}
          </div>
        </div>
        <AddThing
          lists={[['containers', 'Pots and trays', 'A pot of my own']]}
          label="Add a pot"
          added={(added) => {
            setAll(true);
            choose(added);
          }}
        />
      </div>
      {none ? (
        <p className="empty">This set-up uses no pots. Add a pot, then choose it in a method under Methods.</p>
      ) : (
        <Shelf season={season} potting={data} chosen={chosen} choose={(to) => choose(to === chosen ? null : to)} all={all} />
      )}
      {pot && (
        <FieldsOf key={pot.id} value={pot.id}>
          <PotEditor
            season={season}
            pot={pot}
            five={data.containers.find((row) => row.id === pot.id)?.five_seasons ?? null}
            gone={() => choose(null)}
          />
        </FieldsOf>
      )}
      <p className="quiet">
        Make pots only from containers that held food. Melt or cut the holes outdoors, away from your hand. To disinfect, use 1
        part bleach to 9 parts water. Wear gloves, and never mix bleach with another cleaner.
      </p>
      <MixPart season={season} potting={data} />
      <SuppliesPart season={season} potting={data} />
      <TraysPart season={season} />
    </>
  );
}
