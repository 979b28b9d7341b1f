import s from './edit.module.css';

const EDGE = 8;

interface Props {
  id: string;
  why: string;
  /** What is in force meanwhile. */
  stays: string;
}

/** Why what stands in a field of a line or sentence cannot be used: below it, and within the width of the page. */
export function Why({ id, why, stays }: Props) {
  const within = (box: HTMLSpanElement | null) => {
    if (box === null) return;
    box.style.left = '0';
    const over = box.getBoundingClientRect().right + EDGE - document.documentElement.clientWidth;
    if (over > 0) box.style.left = `${String(-over)}px`;
  };
  return (
    <span className={s.cellWhy} id={id} role="alert" ref={within}>
      {why} Until then {stays} stays.
    </span>
  );
}
