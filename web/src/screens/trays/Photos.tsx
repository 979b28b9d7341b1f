import { useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { answered, client, words } from '../../api/client';
import type { TraysState } from '../../api/types';
import { coded } from '../../files/coded';
import { logbox } from '../../season/logbox';
import { useLog } from '../../season/useLog';
import s from './trays.module.css';

interface Props {
  season: number;
  crop: string;
  tray: string;
  on: string;
  photos: TraysState['photos'];
}

const SIDE = 1280;
const QUALITY = 0.8;

/** Drawn anew and small, before it is kept or sent: the place it was taken at is not in it any more. */
async function small(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, SIDE / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/jpeg', QUALITY),
  );
}

/** Pictures of a row, small, with nothing in them but what is seen. */
export function Photos({ season, crop, tray, on, photos }: Props) {
  const queries = useQueryClient();
  const [why, setWhy] = useState<string | null>(null);
  const { waiting } = useLog(season);
  const mine = photos.filter((photo) => photo.crop === crop && (photo.tray ?? tray) === tray);
  const onItsWay = waiting.filter(({ photo }) => photo?.crop === crop).length;
  const add = async (file: File) => {
    setWhy(null);
    try {
      await logbox.photograph(season, { on, crop, tray, image: await coded(await small(file)) });
    } catch {
      setWhy('This picture cannot be read. Take a JPEG or PNG.');
    }
  };
  const remove = (token: string) =>
    answered(client.DELETE('/api/seasons/{season}/photos/{token}', { params: { path: { season, token } } }))
      .then(() => queries.invalidateQueries({ queryKey: ['trays', season] }))
      .catch((error: unknown) => setWhy(words(error)));
  return (
    <div data-part="photos">
      <h3>Pictures</h3>
      <div className={s.photos}>
        {mine.map((photo) => (
          <figure key={photo.id}>
            <a href={`/api/seasons/${season}/photos/${photo.id}`} target="_blank" rel="noreferrer">
              <img src={`/api/seasons/${season}/photos/${photo.id}`} alt={`Taken ${photo.on}`} loading="lazy" />
            </a>
            <figcaption>
              {photo.on}{' '}
              <button
                type="button"
                className="plain"
                aria-label={`take out the picture of ${photo.on}`}
                onClick={() => void remove(photo.id)}
              >
                take out
              </button>
            </figcaption>
          </figure>
        ))}
      </div>
      {onItsWay > 0 && <p className="quiet">{onItsWay} kept here, sent when the server answers.</p>}
      <label className={s.file}>
        Add a picture
        <input
          type="file"
          name="photo"
          accept="image/jpeg,image/png,image/webp"
          capture="environment"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) void add(file);
            event.target.value = '';
          }}
        />
      </label>
      {why !== null && <p role="alert">{why}</p>}
    </div>
  );
}
