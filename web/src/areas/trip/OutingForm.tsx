import { JOI_OPTIONS, outingInput, type OutingInput, type ShelfItem } from '@bright-keeper/contract';
import { joiResolver } from '@hookform/resolvers/joi';
import { schedule, supplies, trip } from '@bright-keeper/core';
import { capital, MET, WEATHER_WORDS } from '@bright-keeper/words';
import { useForm } from 'react-hook-form';
import { FormFoot } from '../../ui/FormFoot';
import { Button } from '../../ui/parts';
import { saveForm } from '../../ui/saveForm';
import { ToggleButtons } from '../../ui/WayButtons';
import { useDrawer } from '../supplies';
import { ForecastFor } from './ForecastFor';
import { TRAVEL_WORDS } from './kitView';

type Props = {
  begin: OutingInput;
  things: readonly (Pick<ShelfItem, 'id' | 'name'> & Partial<Pick<ShelfItem, 'particulars' | 'belongsTo'>>)[];
  verb: string;
  save: (input: OutingInput) => Promise<unknown>;
  error: unknown;
  onDone: () => void;
  onCancel: () => void;
};

const toCount = (text: string | number | null): number | null => (text === '' || text === null ? null : Number(text));

/** An outing in short form: when, where, what came along, what it met. */
export function OutingForm({ begin, things, verb, save, error, onDone, onCancel }: Props) {
  const form = useForm<OutingInput>({ defaultValues: begin, resolver: joiResolver(outingInput, JOI_OPTIONS) });
  const { isSubmitting } = form.formState;
  const drawer = useDrawer();
  const [itemIds, met, place] = [form.watch('itemIds'), form.watch('met'), form.watch('place')];
  const [also = [], weather = []] = [form.watch('also'), form.watch('weather')];
  const tags = [...new Set(things.flatMap(({ particulars }) => particulars?.tags ?? []))].sort();
  const taggedWith = (tag: string) => things.filter(({ particulars }) => particulars?.tags?.includes(tag)).map(({ id }) => id);
  const belonging = things
    .filter(({ id, belongsTo }) => belongsTo && itemIds.includes(belongsTo) && !itemIds.includes(id))
    .map(({ id }) => id);
  const toggled = <T extends string>(list: readonly T[], one: T): T[] =>
    list.includes(one) ? list.filter((x) => x !== one) : [...list, one];
  const said = (field: Exclude<keyof OutingInput, 'used'>) => {
    const message = form.getFieldState(field).error?.message;
    return message && <span className="text-sm text-act">{message}</span>;
  };
  const count = (field: 'frames' | 'lensChanges' | 'hours', label: string) => (
    <label className="flex flex-col gap-1">
      {label}
      <input type="number" min="0" inputMode="numeric" className="input w-32" {...form.register(field, { setValueAs: toCount })} />
      {said(field)}
    </label>
  );
  return (
    <form className="sheet space-y-4 p-4" onSubmit={(e) => void form.handleSubmit(saveForm(save, onDone, form.setError))(e)}>
      <div className="flex flex-wrap gap-4">
        <label className="flex min-w-56 flex-1 flex-col gap-1">
          Name
          <input className="input" {...form.register('name')} />
          {said('name')}
        </label>
        <label className="flex flex-col gap-1">
          From
          <input type="date" className="input" {...form.register('from')} />
          {said('from')}
        </label>
        <label className="flex flex-col gap-1">
          To
          <input type="date" className="input" {...form.register('to')} />
          {said('to')}
        </label>
        <label className="flex flex-col gap-1">
          Where to
          <select className="input" {...form.register('place')}>
            {trip.GROUND_IDS.map((place) => (
              <option key={place} value={place}>
                {trip.groundFacts(place).name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <ToggleButtons
        legend="Other ground besides"
        ways={trip.GROUND_IDS.filter((id) => id !== place).map((id) => [id, trip.groundFacts(id).name] as const)}
        on={also}
        onToggle={(id) => form.setValue('also', toggled(also, id))}
      />
      <ToggleButtons
        legend="What the weather may bring"
        ways={trip.WEATHERS.map((w) => [w, WEATHER_WORDS[w]] as const)}
        on={weather}
        onToggle={(w) => form.setValue('weather', toggled(weather, w))}
      />
      <ForecastFor from={form.watch('from')} to={form.watch('to')} weather={weather} onTake={(all) => form.setValue('weather', all)} />
      <div className="flex flex-wrap gap-4">
        <label className="flex flex-col gap-1">
          How it travels
          <select className="input" {...form.register('travel')}>
            {trip.TRAVELS.map((way) => (
              <option key={way} value={way}>
                {TRAVEL_WORDS[way]}
              </option>
            ))}
          </select>
        </label>
        <label className="flex flex-col gap-1">
          Which kit goes along
          <input
            className="input"
            list="outing-kits"
            {...form.register('kit', { setValueAs: (text: string | null) => text?.trim() || null })}
          />
          <datalist id="outing-kits">
            {supplies.kitsOf(drawer.data?.supplies ?? []).map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
          {said('kit')}
        </label>
      </div>
      <fieldset>
        <legend className="mb-1 font-medium">What it met</legend>
        <div className="flex flex-wrap gap-x-4">
          {schedule.EXPOSURES.map((one) => (
            <label key={one} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="check"
                checked={met.includes(one)}
                onChange={() => form.setValue('met', toggled(met, one))}
              />{' '}
              {capital(MET[one])}
            </label>
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend className="mb-1 font-medium">What came along ({itemIds.length})</legend>
        {(tags.length > 0 || belonging.length > 0) && (
          <p className="mb-2 flex flex-wrap items-center gap-2">
            {tags.map((tag) => (
              <Button key={tag} onClick={() => form.setValue('itemIds', [...new Set([...itemIds, ...taggedWith(tag)])])}>
                All tagged “{tag}”
              </Button>
            ))}
            {belonging.length > 0 && (
              <Button onClick={() => form.setValue('itemIds', [...itemIds, ...belonging])}>
                And what belongs to them ({belonging.length})
              </Button>
            )}
          </p>
        )}
        <div className="grid max-h-64 gap-x-4 overflow-y-auto sm:grid-cols-2 lg:grid-cols-3">
          {things.map((thing) => (
            <label key={thing.id} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="check"
                checked={itemIds.includes(thing.id)}
                onChange={() => form.setValue('itemIds', toggled(itemIds, thing.id))}
              />{' '}
              {thing.name}
            </label>
          ))}
        </div>
      </fieldset>
      <div className="flex flex-wrap gap-4">
        {count('frames', 'Frames')}
        {count('lensChanges', 'Lens changes')}
        {count('hours', 'Hours of use')}
      </div>
      <label className="flex flex-col gap-1">
        What happened
        <textarea className="input" rows={2} {...form.register('note')} />
        {said('note')}
      </label>
      <FormFoot error={error} verb={verb} pending={isSubmitting} onCancel={onCancel} />
    </form>
  );
}
