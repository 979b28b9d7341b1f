import { answered, client } from '../../api/client';
import type { Choice } from '../../api/types';
import { EditNumber } from '../../edit/EditNumber';
import { EditText } from '../../edit/EditText';
import { useStore } from '../../season/SeasonContext';
import { useCatalogue } from '../../season/useCatalogue';
import { plural } from '../../words/sowing';
import { OtherPackets } from './OtherPackets';
import { PacketPrice } from './PacketPrice';
import type { PanelProps } from './panel';
import { parseMaybePercent, parseTest, type HomeTest } from './parse';
import { SeedKind } from './SeedKind';
import s from './growlist.module.css';

/** The packet, what its age does to the seed, and the other packets of the drawer side by side. */
export function PacketPart({
  shown: { season, setup },
  crop,
  facts: { lot, species },
  picture: { line },
  lots,
}: PanelProps & { lots: Choice[] | null }) {
  const store = useStore();
  const save = (key: string, label: string) => (to: unknown) =>
    store.change([{ path: ['seed_lots', lot.id, key], to }], `${label}, ${lot.variety}`);
  const { data: catalogue } = useCatalogue();
  const law = catalogue?.species.find(({ id, name }) => id === species?.meta?.catalogue || name === species?.name);
  const alive = line.alive_of_hundred / 100;
  const another = () =>
    store.attempt(`another packet of ${lot.variety}`, () =>
      answered(
        client.POST('/api/seasons/{season}/lots', {
          params: { path: { season: store.id } },
          body: { like: lot.id, setup: setup.id },
        }),
      ),
    );
  const tested = lot.test ? ' and by your test' : '';
  const fresh =
    line.age === 0
      ? `Fresh: ${line.alive_of_hundred} % germination`
      : `Fresh ${line.fresh_of_hundred} % germination; at ${line.age} ${plural(line.age, 'year')}${tested} it is ${line.alive_of_hundred}`;
  return (
    <section aria-label="The packet">
      <h2 className={s.partName}>The packet</h2>
      <PacketPrice season={season} lot={lot} save={save} />
      <EditNumber
        label="Packed for"
        name="packed_for"
        field="seed_lots.packed_for"
        value={lot.packed_for}
        save={save('packed_for', 'seed year')}
      />
      <EditText<number | null>
        label="Germination printed on the packet"
        name="germination"
        after="%"
        inputMode="decimal"
        value={lot.germination}
        show={(value) => (value === null ? '' : String(Number((value * 100).toFixed(1))))}
        parse={parseMaybePercent}
        save={save('germination', 'printed germination')}
      />
      <EditText<HomeTest | null>
        label="Your own test"
        name="test"
        value={lot.test}
        show={(value) => (value === null ? '' : `of ${value.sown}, ${value.sprouted} came up`)}
        parse={parseTest}
        save={save('test', 'own test')}
      />
      {lot.test && <Tested test={lot.test} line={line} />}
      {law?.legalMinimum && (
        <p className="quiet" data-test="law" title={law.legalSource ?? undefined}>
          In the United States its seed may not be sold below {Math.round(law.legalMinimum * 100)} %
          {alive < law.legalMinimum ? '; this packet is below that.' : '.'}
        </p>
      )}
      <p className="quiet" data-test="age">
        {fresh}
        {line.come_up_of_hundred === null ? '.' : `; where you sow it ${line.come_up_of_hundred} come up.`}
      </p>
      <SeedKind species={species} lot={lot} />
      {lots !== null && <OtherPackets season={season} crop={crop} lot={lot} species={species} lots={lots} />}
      <button type="button" className="plain" onClick={another}>
        Compared with a fresh packet
      </button>
    </section>
  );
}

function Tested({ test, line }: { test: HomeTest; line: PanelProps['picture']['line'] }) {
  return (
    <p className="quiet" data-test="tested">
      Of {test.sown}, {test.sprouted} came up: {Math.round((100 * test.sprouted) / test.sown)} %. Seed of this kind and age
      usually has {line.aged_of_hundred} %, which counts like a test of {line.seeds_known} seeds. Together:{' '}
      {line.alive_of_hundred} %. The more seeds you test, the more your own count weighs.
    </p>
  );
}
