import { Select } from 'antd';
import { useState } from 'react';
import type { CropResult, SeasonState } from '../../api/types';
import { useChange } from '../../api/useSeason';
import { PennyStack } from '../../charts/PennyStack';
import { TillStrip } from '../../till/TillStrip';
import { day, sowingSentence, warningWords } from '../../words/sowing';
import { money } from '../../words/money';
import { WorkingDrawer, type Asked } from '../../workings/WorkingDrawer';
import { CostReceipt } from './CostReceipt';
import { SeedlingFields } from './SeedlingFields';

/** One crop in one set-up: what to sow, what one finished seedling costs, and everything that makes it so. */
export function SeedlingScreen({ state }: { state: SeasonState }) {
  const { season } = state;
  const [setupId, setSetup] = useState(season.setups[0]?.id ?? '');
  const [cropId, setCrop] = useState(season.crops[0]?.id ?? '');
  const [asked, ask] = useState<Asked | null>(null);
  const { change, last, saving } = useChange(state.id, (s) => s.pictures[setupId]?.crops[cropId]?.till);

  const setup = season.setups.find(({ id }) => id === setupId);
  const crop = season.crops.find(({ id }) => id === cropId);
  const result = state.result.setups.find(({ id }) => id === setupId)?.crops.find(({ id }) => id === cropId);
  const picture = state.pictures[setupId]?.crops[cropId];
  if (!setup || !crop || !result || !picture) return <main className="work"><p>This season has no crops or no set-ups yet.</p></main>;

  const lot = season.seed_lots.find(({ id }) => id === crop.lot);
  const species = season.species.find(({ id }) => id === lot?.species);
  const method = season.methods.find(({ id }) => id === result.method);
  const container = season.containers.find(({ id }) => id === method?.stages[0]?.container);
  const site = container === undefined ? 'station' : container.sites_per_unit > 1 ? 'cell' : 'pot';
  const us = season.units === 'us';

  return (
    <>
      <main className="work">
        <div className="heading">
          <div>
            <h1>{lot?.variety} <span className="quiet">{species?.name}</span></h1>
            <p className="sentence" data-test="sentence">{method ? sowingSentence(result, method, crop.wanted, site) : 'You buy this one.'}</p>
            <Notes result={result} currency={season.currency} />
          </div>
          <div className="pickers">
            <label>Crop<Select aria-label="Crop" value={cropId} onChange={setCrop} options={season.crops.map((row) => ({ value: row.id, label: season.seed_lots.find(({ id }) => id === row.lot)?.variety ?? row.id }))} /></label>
            <label>Set-up<Select aria-label="Set-up" value={setupId} onChange={setSetup} options={season.setups.map((row) => ({ value: row.id, label: row.name }))} /></label>
          </div>
        </div>
        <div className="columns">
          <section aria-labelledby="stack-title">
            <h2 id="stack-title">In pennies</h2>
            {picture.stack ? <PennyStack stack={picture.stack} currency={season.currency} title="a finished seedling" nurseryTitle="at the nursery" />
              : <p className="quiet">{result.buy_cost === null ? 'Nothing to stack: it is neither grown nor sold.' : `Bought: ${money(result.buy_cost, season.currency)} for ${crop.wanted}.`}</p>}
          </section>
          <section aria-labelledby="receipt-title">
            <h2 id="receipt-title">What it costs</h2>
            <CostReceipt result={result} shown={picture.shown} currency={season.currency} explain={(figure) => ask({ figure, crop: cropId })} />
          </section>
          <section aria-labelledby="fields-title">
            <h2 id="fields-title">What it depends on</h2>
            <SeedlingFields season={season} crop={crop} setup={setup} method={method} save={(path, label) => (to) => change({ path, to, label })} />
          </section>
        </div>
        <p className="caution"><b>Electricity near water:</b> plug the bench into a residual-current (GFCI) outlet, keep plugs above the water line and let cables hang in a drip loop. The maker’s instructions and local codes come first; fixed wiring is a licensed electrician’s work.</p>
      </main>
      <TillStrip till={picture.till} last={last} currency={season.currency} where={setup.name} saving={saving}
        explain={(figure) => ask({ figure, crop: figure === 'per_finished' && result.grown ? cropId : null })} />
      <WorkingDrawer season={state.id} setup={setupId} asked={asked} currency={season.currency} us={us} ask={ask} />
    </>
  );
}

/** The verdict with its reason in one sentence. */
function verdict(result: CropResult, currency: string): string | null {
  const [adds, cost, buying] = [result.extra_cost, result.cost, result.buy_cost].map((amount) => money(amount, currency));
  switch (result.verdict) {
    case 'grow': return `Grow it: it costs ${cost}, buying ${buying}.`;
    case 'grow_along': return `Grow it along: its share is ${cost}, dearer than buying at ${buying}, but it adds only ${adds} to a bench that runs anyway.`;
    case 'buy': return `Buy it: growing adds ${adds}, buying costs ${buying}.`;
    case 'grow_only': return 'Only grown: nobody sells it.';
    case 'buy_only': return 'Only to be bought: this set-up cannot raise it.';
    default: return null;
  }
}

function Notes({ result, currency }: { result: CropResult; currency: string }) {
  const said = verdict(result, currency);
  return (
    <>
      {result.grown && <p className="sentence">Ready to plant out on {day(result.plant_out_on)}.</p>}
      {said !== null && <p className="verdict" data-test="verdict">{said}</p>}
      {result.grown && result.warnings.map((code) => <p key={code} className="warning"><span aria-hidden="true">▲</span> {warningWords(code)}</p>)}
    </>
  );
}
