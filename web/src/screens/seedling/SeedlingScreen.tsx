import { clsx } from 'clsx';
import { Select } from 'antd';
import { Link, useNavigate, useParams } from 'react-router';
import type { CropPicture, CropResult } from '../../api/types';
import { PennyStack } from '../../charts/PennyStack';
import { useOnScreen, useSnapshot, useStore, type OnScreen } from '../../season/SeasonContext';
import { factsOf, varietyOf } from '../../season/site';
import { useAsk } from '../../page/AskContext';
import { PlanningPage } from '../../page/Page';
import { SetupPicker } from '../../page/SetupPicker';
import { day } from '../../words/dates';
import { money } from '../../words/money';
import { sowingSentence, verdictWords, warningWords } from '../../words/sowing';
import { CostReceipt } from './CostReceipt';
import { SeedlingFields } from './SeedlingFields';
import s from './seedling.module.css';

/** One crop in one set-up: what to sow, what one finished seedling costs, and everything that makes it so. */
export function SeedlingScreen() {
  const { crop: wish } = useParams();
  const shown = useOnScreen();
  const { last } = useSnapshot();
  const crop = shown?.season.crops.find(({ id }) => id === wish);
  const picture = crop && shown?.picture(crop.id);
  const result = crop && shown?.cropResult(crop.id);
  if (!shown || !crop || !picture || !result)
    return (
      <PlanningPage>
        {shown && !crop && (
          <>
            <h1>No such crop</h1>
            <p>
              It is not on the list, or not any more. <Link to={`/seasons/${shown.id}/list`}>The grow list</Link>
            </p>
          </>
        )}
        {crop && <p aria-busy="true">Working it out…</p>}
      </PlanningPage>
    );
  return (
    <PlanningPage
      till={{
        till: picture.till,
        crop: result.grown ? crop.id : null,
        where: shown.setup.name,
        last: last?.setup === shown.setup.id ? { label: last.label, move: last.crops[crop.id] } : null,
      }}
    >
      <Seedling shown={shown} cropId={crop.id} picture={picture} result={result} />
    </PlanningPage>
  );
}

interface Props {
  shown: OnScreen;
  cropId: string;
  picture: CropPicture;
  result: CropResult;
}

function Seedling({ shown, cropId, picture, result }: Props) {
  const { season, setup } = shown;
  const store = useStore();
  const ask = useAsk();
  const crop = season.crops.find(({ id }) => id === cropId);
  const facts = crop && factsOf(season)(crop, result);
  if (!crop || !facts) return null;
  const { lot, species, method, site } = facts;
  return (
    <>
      <p className={s.crumb}>
        <Link to={`/seasons/${shown.id}/list`}>Grow list</Link>
      </p>
      <div className={s.heading}>
        <div>
          <h1>
            {lot.variety} <span className="quiet">{species?.name}</span>
          </h1>
          <p className={s.sentence} data-test="sentence">
            {method ? sowingSentence(result, method, crop.wanted, site, season.units === 'us') : 'You buy this one.'}
          </p>
          <Notes
            result={result}
            picture={picture}
            currency={season.currency}
            us={season.units === 'us'}
            substitute={crop.substitute}
          />
        </div>
        <Pickers shown={shown} cropId={crop.id} />
      </div>
      <div className={s.columns}>
        <section aria-labelledby="stack-title">
          <h2 id="stack-title">Cost, coin by coin</h2>
          <Stack picture={picture} result={result} wanted={crop.wanted} currency={season.currency} />
        </section>
        <section aria-labelledby="receipt-title">
          <h2 id="receipt-title">What it costs</h2>
          <CostReceipt
            result={result}
            shown={picture.shown}
            currency={season.currency}
            explain={(figure) => ask({ figure, crop: cropId })}
          />
        </section>
        <section aria-labelledby="fields-title">
          <h2 id="fields-title">What it depends on</h2>
          <SeedlingFields
            season={season}
            crop={crop}
            setup={setup}
            method={method}
            save={(path, label) => (to) => store.change([{ path, to }], label)}
          />
        </section>
      </div>
      <NearWater />
    </>
  );
}

/** Another crop, or another set-up. */
function Pickers({ shown: { id: seasonId, season }, cropId }: { shown: OnScreen; cropId: string }) {
  const navigate = useNavigate();
  return (
    <div className={s.pickers}>
      <label>
        Crop
        <Select
          aria-label="Crop"
          value={cropId}
          onChange={(id: string) => void navigate(`/seasons/${seasonId}/crops/${encodeURIComponent(id)}`)}
          options={season.crops.map((row) => ({ value: row.id, label: varietyOf(season, row.id) }))}
        />
      </label>
      <SetupPicker />
    </div>
  );
}

interface StackProps {
  picture: CropPicture;
  result: CropResult;
  wanted: number;
  currency: string;
}

function Stack({ picture, result, wanted, currency }: StackProps) {
  if (picture.stack)
    return <PennyStack stack={picture.stack} currency={currency} title="a finished seedling" nurseryTitle="at the nursery" />;
  return (
    <p className="quiet">
      {result.buy_cost === null
        ? 'This crop is neither grown nor sold here.'
        : `Bought: ${money(result.buy_cost, currency)} for ${wanted}.`}
    </p>
  );
}

function NearWater() {
  return (
    <p className={s.caution}>
      <b>Electricity near water:</b> plug the bench into a residual-current (GFCI) outlet, keep plugs above the water line and let
      cables hang in a drip loop. The maker’s instructions and local codes come first; fixed wiring is a licensed electrician’s
      work. <Link to="/cautions">All cautions</Link>
    </p>
  );
}

function Notes({
  result,
  picture,
  currency,
  us,
  substitute,
}: {
  result: CropResult;
  picture: CropPicture;
  currency: string;
  us: boolean;
  substitute: boolean;
}) {
  const verdict = verdictWords(result, picture.line, currency, substitute);
  return (
    <>
      {result.grown && <p className={s.sentence}>Ready to plant out on {day(result.plant_out_on, us)}.</p>}
      <p className={clsx('verdict', `verdict-${verdict.tone}`)} data-test="verdict">
        {verdict.word}: {verdict.reason}.
      </p>
      {result.grown &&
        result.warnings.map((code) => (
          <p key={code} className={s.warning}>
            <span aria-hidden="true">▲</span> {warningWords(code)}
          </p>
        ))}
    </>
  );
}
