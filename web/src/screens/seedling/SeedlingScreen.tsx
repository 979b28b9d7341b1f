import { Select } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { CropPicture, CropResult } from '../../api/types';
import { PennyStack } from '../../charts/PennyStack';
import { useOnScreen, useSnapshot, useStore, type OnScreen } from '../../season/SeasonContext';
import type { LastChange } from '../../season/SeasonStore';
import { factsOf } from '../../season/site';
import { useAsk } from '../../shell/AskContext';
import { PlanningPage } from '../../shell/Page';
import { SetupPicker } from '../../shell/SetupPicker';
import { day } from '../../words/dates';
import { money } from '../../words/money';
import { sowingSentence, verdictWords, warningWords } from '../../words/sowing';
import { CostReceipt } from './CostReceipt';
import { SeedlingFields } from './SeedlingFields';

/** One crop in one set-up: what to sow, what one finished seedling costs, and everything that makes it so. */
export function SeedlingScreen() {
  const { crop: wish } = useParams();
  const shown = useOnScreen();
  const { last } = useSnapshot();
  const crop = shown?.season.crops.find(({ id }) => id === wish) ?? shown?.season.crops[0];
  const picture = crop && shown?.picture(crop.id);
  const result = crop && shown?.cropResult(crop.id);
  const moved = useMoved(picture, last);
  if (!shown || !crop || !picture || !result) return <PlanningPage>{shown && <p>There is no such crop on the list. <Link to={`/seasons/${shown.state.id}/list`}>The grow list</Link></p>}</PlanningPage>;
  return (
    <PlanningPage till={{ till: picture.till, crop: result.grown ? crop.id : null, where: shown.setup.name, last: moved }}>
      <Seedling shown={shown} cropId={crop.id} picture={picture} result={result} />
    </PlanningPage>
  );
}

/** What the last change did to this crop's till rather than to the whole set-up's. */
function useMoved(picture: CropPicture | undefined, last: LastChange | null): LastChange | null {
  const [seen, setSeen] = useState<{ last: LastChange | null; before: CropPicture | undefined; now: CropPicture | undefined }>({ last, before: undefined, now: picture });
  if (seen.now !== picture || seen.last !== last) setSeen({ last, before: seen.last === last ? seen.before : seen.now, now: picture });
  return last !== null && seen.before && picture ? { label: last.label, before: seen.before.till, after: picture.till } : null;
}

function Seedling({ shown, cropId, picture, result }: { shown: OnScreen; cropId: string; picture: CropPicture; result: CropResult }) {
  const { season, setup, state } = shown;
  const store = useStore();
  const ask = useAsk();
  const navigate = useNavigate();
  const crop = season.crops.find(({ id }) => id === cropId);
  const facts = crop && factsOf(season)(crop, result);
  if (!crop || !facts) return null;
  const { lot, species, method, site } = facts;
  return (
    <>
      <p className="crumb"><Link to={`/seasons/${state.id}/list`}>Grow list</Link></p>
      <div className="heading">
        <div>
          <h1>{lot.variety} <span className="quiet">{species?.name}</span></h1>
          <p className="sentence" data-test="sentence">{method ? sowingSentence(result, method, crop.wanted, site, season.units === 'us') : 'You buy this one.'}</p>
          <Notes result={result} picture={picture} currency={season.currency} us={season.units === 'us'} substitute={crop.substitute} />
        </div>
        <div className="pickers">
          <label>Crop<Select aria-label="Crop" value={crop.id} onChange={(id: string) => void navigate(`/seasons/${state.id}/crops/${encodeURIComponent(id)}`)} options={season.crops.map((row) => ({ value: row.id, label: season.seed_lots.find(({ id }) => id === row.lot)?.variety ?? row.id }))} /></label>
          <SetupPicker />
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
          <SeedlingFields season={season} crop={crop} setup={setup} method={method} save={(path, label) => (to) => store.change([{ path, to }], label)} />
        </section>
      </div>
      <p className="caution"><b>Electricity near water:</b> plug the bench into a residual-current (GFCI) outlet, keep plugs above the water line and let cables hang in a drip loop. The maker’s instructions and local codes come first; fixed wiring is a licensed electrician’s work. <Link to="/cautions">All cautions</Link></p>
    </>
  );
}

function Notes({ result, picture, currency, us, substitute }: { result: CropResult; picture: CropPicture; currency: string; us: boolean; substitute: boolean }) {
  const verdict = verdictWords(result, picture.line, currency, substitute);
  return (
    <>
      {result.grown && <p className="sentence">Ready to plant out on {day(result.plant_out_on, us)}.</p>}
      <p className={`verdict verdict-${verdict.tone}`} data-test="verdict">{verdict.word}: {verdict.reason}.</p>
      {result.grown && result.warnings.map((code) => <p key={code} className="warning"><span aria-hidden="true">▲</span> {warningWords(code)}</p>)}
    </>
  );
}
