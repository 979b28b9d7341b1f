import { Button, Space } from 'antd';
import { useState } from 'react';
import type { AskedCrop as Asked, NewCrops } from '../../api/types';
import { boundsOf } from '../../edit/bounds';
import { EditBounded } from '../../edit/EditNumber';
import { UnknownCrop } from './UnknownCrop';
import s from './growlist.module.css';

interface Props {
  asked: Asked;
  /** How many lines wait behind this one. */
  more: number;
  add: (body: NewCrops) => void;
  leave: () => void;
}

/** Asks about a line of a pasted list that could mean several things, and adds what is answered. */
export function AskedCrop({ asked, more, add, leave }: Props) {
  const [wanted, setWanted] = useState(asked.wanted ?? 6);
  const { species } = asked;
  const body = (id: string): NewCrops => ({ species: id, wanted, ...(asked.variety === '' ? {} : { variety: asked.variety }) });
  return (
    <fieldset className={s.unknown} data-part="asked-crop">
      <legend>{asked.text}</legend>
      <p>{asked.question}</p>
      {species !== null && (
        <>
          <EditBounded
            label="Plants wanted"
            name="asked-wanted"
            bounds={boundsOf('crops.wanted')}
            value={wanted}
            save={(to) => {
              setWanted(to);
              return Promise.resolve();
            }}
          />
          <Button type="primary" onClick={() => add(body(species))}>
            Add it
          </Button>{' '}
        </>
      )}
      {asked.nearest.length > 0 && (
        <Space wrap>
          {asked.nearest.map(({ id, name }) => (
            <Button key={id} onClick={() => add(body(id))}>
              It is {name.toLowerCase()}
            </Button>
          ))}
        </Space>
      )}
      {asked.unknown && <UnknownCrop entry={asked.text} add={add} />}
      <Button type="text" onClick={leave}>
        Skip it
      </Button>
      {more > 0 && <small className="quiet">{more} more to answer.</small>}
    </fieldset>
  );
}
