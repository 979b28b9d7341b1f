import { useMutation } from '@tanstack/react-query';
import { Button, Checkbox, Form, Input, Radio } from 'antd';
import { useState } from 'react';
import { answered, client, words } from '../../api/client';
import type { PriceLevel } from '../../api/types';
import { boundsOf } from '../../edit/bounds';
import { CurrencySelect } from '../../edit/CurrencySelect';
import { parseNumber } from '../../edit/numbers';
import { useCatalogue } from '../../season/useCatalogue';
import { isDate } from '../../words/dates';
import s from './seasons.module.css';

const THINGS = [
  ['led', 'an LED lamp'],
  ['old_lamp', 'an old fluorescent lamp'],
  ['mat', 'a heat mat'],
  ['shelf', 'a shelf and a timer'],
  ['trays', 'cell trays'],
  ['saved_pots', 'saved pots'],
  ['jugs', 'saved jugs'],
] as const;

interface Answers {
  last_frost: string;
  first_frost: string;
  frostless: boolean;
  rate: string;
  currency: string;
  metric: boolean;
  have: string[];
}

/** Where inches are in everyday use. */
const INCHES = ['US', 'LR', 'MM'];

const defaults = (levels: PriceLevel[]): Answers => {
  const region = new Intl.Locale(navigator.language).maximize().region ?? 'US';
  const now = new Date();
  const year = now.getMonth() >= 6 ? now.getFullYear() + 1 : now.getFullYear();
  return {
    last_frost: `${year}-05-15`,
    first_frost: '',
    frostless: false,
    rate: '0.18',
    currency: levels.find(({ regions }) => regions.includes(region))?.currency ?? 'USD',
    metric: !INCHES.includes(region),
    have: [],
  };
};

/** When is your last frost, what does a kWh cost, what do you have already: all else has a default to change later. */
export function FromAnswers({ made }: { made: (id: number) => void }) {
  const { data, error } = useCatalogue();
  if (error) return <p className="trouble">{words(error)}</p>;
  return data ? <Questions levels={data.price_levels} made={made} /> : null;
}

function Questions({ levels, made }: { levels: PriceLevel[]; made: (id: number) => void }) {
  const [initial] = useState(() => defaults(levels));
  const [form] = Form.useForm<Answers>();
  const frostless = Form.useWatch('frostless', form) ?? false;
  const start = useMutation({
    mutationFn: (answers: Answers) => {
      const rate = parseNumber(answers.rate, boundsOf('electricity.rate'));
      const { first_frost, ...others } = answers;
      const autumn = others.frostless || first_frost === '' ? {} : { first_frost };
      return answered(
        client.POST('/api/seasons', { body: { from: 'answers', ...others, ...autumn, rate: rate.ok ? rate.value : 0 } }),
      );
    },
    onSuccess: ({ id }) => made(id),
  });
  return (
    <Form<Answers>
      form={form}
      layout="vertical"
      initialValues={initial}
      onFinish={(answers) => start.mutate(answers)}
      requiredMark={false}
      className={s.answers}
      data-part="answers"
    >
      <Form.Item
        name="last_frost"
        label={frostless ? 'When do your first plants of spring go out?' : 'When is your last frost in spring?'}
        rules={[
          {
            validator: (_, value: string) =>
              isDate(value) ? Promise.resolve() : Promise.reject(new Error('Type a date, for example 2027-05-15.')),
          },
        ]}
      >
        <Input type="date" />
      </Form.Item>
      {!frostless && (
        <Form.Item
          name="first_frost"
          label="When is your first frost in autumn? Leave it empty if you do not know."
          dependencies={['last_frost']}
          rules={[
            ({ getFieldValue }) => ({
              validator: (_, value: string) =>
                value === '' || (isDate(value) && value > String(getFieldValue('last_frost')))
                  ? Promise.resolve()
                  : Promise.reject(new Error('Type a date after your last frost, or leave it empty.')),
            }),
          ]}
        >
          <Input type="date" />
        </Form.Item>
      )}
      <Form.Item name="frostless" valuePropName="checked">
        <Checkbox>There is no frost where I garden</Checkbox>
      </Form.Item>
      <Form.Item label="What does a kWh cost?" className={s.pair}>
        <Form.Item
          name="rate"
          noStyle
          rules={[
            {
              validator: (_, value: string) => {
                const parsed = parseNumber(value, boundsOf('electricity.rate'));
                return parsed.ok ? Promise.resolve() : Promise.reject(new Error(parsed.why));
              },
            },
          ]}
        >
          <Input inputMode="decimal" aria-label="Price of a kWh" style={{ width: 110 }} />
        </Form.Item>
        <Form.Item name="currency" noStyle>
          <CurrencySelect priced />
        </Form.Item>
      </Form.Item>
      <Form.Item name="have" label="What do you have already?">
        <Checkbox.Group options={THINGS.map(([value, label]) => ({ value, label }))} />
      </Form.Item>
      <Form.Item name="metric" label="How do you measure?">
        <Radio.Group
          options={[
            { value: false, label: 'quarts, inches, °F' },
            { value: true, label: 'litres, cm, °C' },
          ]}
        />
      </Form.Item>
      {start.error && (
        <p className="trouble" role="alert">
          {words(start.error)}
        </p>
      )}
      <Button htmlType="submit" type="primary" loading={start.isPending}>
        Begin
      </Button>
    </Form>
  );
}
