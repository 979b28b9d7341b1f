import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Checkbox, Form, Input, Radio } from 'antd';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { answered, client, words } from '../../api/client';
import type { PriceLevel } from '../../api/types';
import { boundsOf } from '../../edit/bounds';
import { CurrencySelect } from '../../edit/CurrencySelect';
import { parseNumber } from '../../edit/numbers';
import { useCatalogue } from '../../season/useCatalogue';
import { begun, keep, type Answers } from './answers';
import { datesFrom, rateIsNumber } from './checks';
import { FrostYear } from './FrostYear';
import { LampDay } from './LampDay';
import { Owned } from './Owned';
import { WrittenList } from './WrittenList';
import s from './begin.module.css';

/** The fields of each question, in the order in which they are asked. */
const QUESTIONS: (keyof Answers)[][] = [
  ['last_frost', 'first_frost', 'frostless'],
  ['rate', 'currency', 'metric'],
  ['have'],
  ['list'],
];

/** Where the answers to the first two stand in the season. */
const DECIDES = ['last_frost', 'electricity.rate'];

/** A new garden: four questions, one at a time, each with a picture of what it decides; then the first answer. */
export function BeginScreen() {
  const { data, error } = useCatalogue();
  return (
    <main className="work" id="work">
      {error && <p role="alert">{words(error)}</p>}
      {data && <Questions levels={data.price_levels} />}
    </main>
  );
}

function Questions({ levels }: { levels: PriceLevel[] }) {
  const [initial] = useState(() => begun(levels));
  const [form] = Form.useForm<Answers>();
  const watched = Form.useWatch([], form);
  // Fields of the other questions are not on the page, and are not watched.
  const given: Answers = { ...initial, ...form.getFieldsValue(true), ...watched };
  const [query, setQuery] = useSearchParams();
  const number = Math.min(QUESTIONS.length, Math.max(1, Number(query.get('question')) || 1));
  const go = (question: number) => setQuery({ question: String(question) });
  const start = useStart();
  /** Straight to the list: what has not been asked is put in as it was guessed, and counted among the guesses to check. */
  const guessOn = (from: number) => {
    form.setFieldValue('guessed', DECIDES.slice(from - 1));
    keep(form.getFieldsValue(true));
    go(QUESTIONS.length);
  };
  const onward = async () => {
    await form.validateFields(QUESTIONS[number - 1]);
    form.setFieldValue(
      'guessed',
      given.guessed.filter((path) => path !== DECIDES[number - 1]),
    );
    if (number < QUESTIONS.length) go(number + 1);
    else start.mutate({ ...initial, ...form.getFieldsValue(true) });
  };
  return (
    <Form<Answers>
      form={form}
      layout="vertical"
      initialValues={initial}
      onValuesChange={() => keep(form.getFieldsValue(true))}
      onFinish={() => void onward().catch(() => undefined)}
      requiredMark={false}
      className={s.begin}
      data-part="answers"
      data-question={number}
    >
      <progress value={number} max={QUESTIONS.length} aria-hidden="true" />
      <p className="quiet">
        Question {number} of {QUESTIONS.length}
      </p>
      <div key={number} className={s.question} ref={focusFirst}>
        {number === 1 && <Frosts given={given} />}
        {number === 2 && <Power />}
        {number === 3 && (
          <>
            <h1>What do you have already?</h1>
            <Form.Item name="have">
              <Owned />
            </Form.Item>
            <p className="quiet">What you own costs nothing now. Tick nothing if you start from scratch.</p>
          </>
        )}
        {number === 4 && (
          <>
            <h1>What do you want to grow?</h1>
            <Form.Item name="list" label="Write it as you would on paper, or leave it for later">
              <WrittenList metric={given.metric} />
            </Form.Item>
          </>
        )}
      </div>
      {start.error && (
        <p className="trouble" role="alert">
          {words(start.error)}
        </p>
      )}
      <Onward number={number} starting={start.isPending} guess={() => guessOn(number)} go={go} />
    </Form>
  );
}

interface OnwardProps {
  number: number;
  starting: boolean;
  guess: () => void;
  go: (question: number) => void;
}

/** On to the next question or the answer, and back. */
function Onward({ number, starting, guess, go }: OnwardProps) {
  return (
    <div className={s.onward}>
      <Button htmlType="submit" type="primary" size="large" loading={starting}>
        {number < QUESTIONS.length ? 'Next' : 'Show me the answer'}
      </Button>
      {number < QUESTIONS.length && (
        <Button type="text" onClick={guess}>
          Guess for me, I write my list
        </Button>
      )}
      {number > 1 ? (
        <Button type="text" onClick={() => go(number - 1)}>
          Back
        </Button>
      ) : (
        <Link to="/seasons">Your seasons</Link>
      )}
    </div>
  );
}

/** Whoever answers by the keyboard goes on with Enter alone. */
const focusFirst = (question: HTMLDivElement | null) =>
  question?.querySelector<HTMLElement>('input, textarea')?.focus({ preventScroll: true });

/** Makes the season, and shows its first answer; what could not be understood of the list is asked on the list. */
function useStart() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ first_frost, rate, frostless, ...others }: Answers) => {
      const parsed = parseNumber(rate, boundsOf('electricity.rate'));
      const autumn = frostless || first_frost === '' ? {} : { first_frost };
      return answered(
        client.POST('/api/seasons', {
          body: { from: 'answers', ...others, frostless, ...autumn, rate: parsed.ok ? parsed.value : 0 },
        }),
      );
    },
    onSuccess: ({ id, asked }, { list }) => {
      keep(null);
      void queries.invalidateQueries({ queryKey: ['seasons'] });
      void navigate(`/seasons/${id}/${list.trim() === '' ? 'list' : 'first'}`, { state: { asked: asked ?? [] } });
    },
  });
}

function Frosts({ given }: { given: Answers }) {
  return (
    <>
      <h1>When are your frosts?</h1>
      <FrostYear last={given.last_frost} first={given.frostless ? '' : given.first_frost} />
      <Form.Item
        name="last_frost"
        label={given.frostless ? 'When do your first plants of spring go out?' : 'Last frost in spring'}
        rules={[datesFrom(null)]}
      >
        <Input type="date" />
      </Form.Item>
      {!given.frostless && (
        <Form.Item
          name="first_frost"
          label="First frost in autumn (you can leave it open)"
          rules={[datesFrom(() => given.last_frost)]}
        >
          <Input type="date" />
        </Form.Item>
      )}
      <Form.Item name="frostless" valuePropName="checked">
        <Checkbox>There is no frost where I garden</Checkbox>
      </Form.Item>
      <p className="quiet">
        Every sowing date is counted from these. Not sure? Ask a neighbour who gardens; you can change it later.
      </p>
    </>
  );
}

function Power() {
  return (
    <>
      <h1>What does electricity cost you?</h1>
      <LampDay />
      <Form.Item label="Price of a kWh, as on your bill" className={s.pair}>
        <Form.Item name="rate" noStyle rules={[rateIsNumber]}>
          <Input inputMode="decimal" aria-label="Price of a kWh" style={{ width: 130 }} />
        </Form.Item>
        <Form.Item name="currency" noStyle>
          <CurrencySelect priced />
        </Form.Item>
      </Form.Item>
      <Form.Item name="metric" label="You measure in">
        <Radio.Group
          options={[
            { value: false, label: 'quarts, inches, °F' },
            { value: true, label: 'litres, cm, °C' },
          ]}
        />
      </Form.Item>
      <p className="quiet">Lamps are on 14 hours a day for weeks, and mats day and night. This price decides what they cost.</p>
    </>
  );
}
