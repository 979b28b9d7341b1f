import { SaidChoice, SaidNumber } from '../../edit/Said';
import { plural } from '../../words/sowing';
import { NONE, orNull, type StageEdit, type StageProps } from './useStageEdit';

interface Props extends Pick<StageProps, 'method' | 'stage' | 'grown' | 'before' | 'site'> {
  edit: StageEdit;
}

/** "two seeds to a cell, in 72-cell insert": how much, and into what. */
export function InWhat({ method, stage, grown, before, site, edit }: Props) {
  const { first, inBed, container, season, label, name, set, saveOfMethod } = edit;
  const moved = !first && container && before !== null && grown?.sites != null && grown.sites < before;
  const inNothing = first ? 'the bed' : 'the same container';
  return (
    <>
      {first && (
        <>
          <SaidNumber
            label="seeds to a cell or pot"
            name="seeds_per_site"
            field="methods.seeds_per_site"
            value={method.seeds_per_site}
            save={saveOfMethod('seeds_per_site', 'seeds to a cell')}
          />{' '}
          {plural(method.seeds_per_site, 'seed')} to a {method.pattern === 'community' ? 'pot, pricked out later' : site},{' '}
        </>
      )}
      {moved && (
        <>
          only what is needed, {grown.sites} of {before},{' '}
        </>
      )}
      {(first || !inBed) && (
        <>
          {!first && container ? 'into ' : 'in '}
          <SaidChoice
            label={label('in what')}
            name={name('container')}
            value={inBed ? NONE : (stage.container ?? NONE)}
            options={[[NONE, inNothing] as const, ...season.containers.map((one) => [one.id, one.name] as const)]}
            choose={(to) => set('container', 'container')(orNull(to))}
          />
        </>
      )}
    </>
  );
}
