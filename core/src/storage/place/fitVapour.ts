import { HOURS_A_DAY } from '../../units.js';
import type { FittedPlace } from './fittedPlace.js';
import { type Fit, leastSquares, leftOver, soften, type Searched, type Spread, spreadOf } from './leastSquares.js';
import { excessShare, ownHumidity, type Stand, type Walk, type Warmth } from './ownAir.js';
import type { Together } from './together.js';

type VapourPart = Pick<FittedPlace, 'airChangesPerDay' | 'vapourExcessGm3' | 'excess' | 'bufferPerDay' | 'bufferDays' | 'desiccant'>;
export type FittedVapour = {
  part: VapourPart;
  /** What the walls held when the record began, as a share of saturation. */
  walls: number;
  intervals: Partial<Record<'airChangesPerDay' | 'vapourExcessGm3' | 'bufferPerDay' | 'bufferDays', { low: number; high: number }>>;
  /** The same place at the ends of what is not sure, one for each independent direction. */
  ends: VapourPart[];
  /** Measured less modelled, % RH, hour by hour; 0 where nothing was measured. */
  residuals: Float64Array;
};

const log = (min: number, max: number): Searched => ({ min: Math.log(min), max: Math.log(max), small: 0.01 });
const CHANGES = log(0.02, 240);
const EXCESS = { min: -6, max: 12, small: 0.01 };
const BUFFER = log(0.005, 2400);
const BUFFER_DAYS = log(0.1, 120);
/** Nothing is said beyond what was searched. */
const BOUNDS = {
  airChangesPerDay: { min: Math.exp(CHANGES.min), max: Math.exp(CHANGES.max) },
  vapourExcessGm3: EXCESS,
  bufferPerDay: { min: Math.exp(BUFFER.min), max: Math.exp(BUFFER.max) },
  bufferDays: { min: Math.exp(BUFFER_DAYS.min), max: Math.exp(BUFFER_DAYS.max) },
};
/** How full the desiccant was when the record began, g/g. */
const LOADING = { min: 0.002, max: 0.39, small: 0.002 };
const WALLS = { min: 0, max: 1, small: 0.002 };
/** Where a search may begin: changes a day, and for walls their rate against them, and their days. */
const CHANGES_STARTS = [0.1, 0.5, 2, 8, 30];
const WALLS_STARTS = [0.7, 3].flatMap((share) => [1.5, 6, 20].map((days) => ({ share, days })));
/** How much better a buffer has to make the fit: F for three more values at 99 % (any table of F). */
const F_BUFFER = 3.8;

/** The values in the order in which they are searched; what is not searched does nothing. */
type Shape = { excess: FittedPlace['excess']; hasExcess: boolean; hasBuffer: boolean; hasDesiccant: boolean };
type Values = Omit<VapourPart, 'desiccant'> & { walls: number | null; loadingGPerG: number | null };
function partOf({ excess, hasExcess, hasBuffer, hasDesiccant }: Shape, values: readonly number[]): Values {
  const rest = [...values];
  const next = () => rest.shift()!;
  return {
    airChangesPerDay: Math.exp(next()),
    excess,
    vapourExcessGm3: hasExcess ? next() : 0,
    bufferPerDay: hasBuffer ? Math.exp(next()) : 0,
    bufferDays: hasBuffer ? Math.exp(next()) : 1,
    walls: hasBuffer ? next() : null,
    loadingGPerG: hasDesiccant ? next() : null,
  };
}

/** How many of the residuals say something of their own, from how alike neighbours are. */
function witnesses(residuals: Float64Array): number {
  let [squares, neighbours] = [1e-12, 0];
  for (let i = 0; i < residuals.length; i++) {
    squares += residuals[i]! ** 2;
    if (i > 0) neighbours += residuals[i]! * residuals[i - 1]!;
  }
  const alike = Math.min(0.999, Math.max(0, neighbours / squares));
  return (residuals.length * (1 - alike)) / (1 + alike);
}

/** What is off by more is not the noise of a hygrometer, % RH (our choice). */
const USUAL_ERROR_PCT = 3;

type Candidate = { shape: Shape; searched: Searched[]; fit: Fit };

/** How its vapour follows that around it, its temperature being known. */
export class VapourFit {
  readonly #shares: Record<FittedPlace['excess'], Float64Array>;

  constructor(
    private readonly record: Together,
    private readonly warmth: Warmth,
    /** What is not fitted here. */
    private readonly place: FittedPlace,
    private readonly start: Stand,
    private readonly restarts: ReadonlyMap<number, Stand>,
    private readonly blockPoints: number,
  ) {
    this.#shares = { steady: excessShare('steady', record.drive), fades: excessShare('fades', record.drive) };
  }

  /** The walk of a place with such values along the whole record. */
  private walkOf({ walls, loadingGPerG, ...part }: Values): Walk {
    const { drive } = this.record;
    const start = walls === null ? this.start : { ...this.start, walls };
    const place = { ...this.place, ...part, desiccant: filled(this.place.desiccant, loadingGPerG) };
    return { place, drive, warmth: this.warmth, excess: this.#shares[part.excess], start, restarts: this.restarts };
  }

  /** @param fades is the air around the weather, so that what people add may fade with it? */
  fit(fades: boolean): FittedVapour {
    const shapes = fades ? (['steady', 'fades'] as const) : (['steady'] as const);
    const plain = shapes
      .map((excess) =>
        this.search(
          { excess, hasExcess: true, hasBuffer: false, hasDesiccant: this.place.desiccant !== null },
          CHANGES_STARTS.map((n) => [
            Math.log(n),
            this.usualExcess(),
            ...(this.place.desiccant ? [this.place.desiccant.loadingGPerG] : []),
          ]),
        ),
      )
      .reduce((a, b) => (b.fit.squares < a.fit.squares ? b : a));
    const buffered = this.withBuffer(plain);
    const better = buffered && this.earns(plain, buffered) ? buffered : plain;
    const spread = this.spreadOf(better);
    // What may just as well be nothing is left out.
    if (spread && Math.abs(better.fit.values[1]!) < spread.half[1]!) {
      const without = this.search({ ...better.shape, hasExcess: false }, [better.fit.values.toSpliced(1, 1)]);
      return this.told(without, this.spreadOf(without));
    }
    return this.told(better, spread);
  }

  private leftBy(shape: Shape, values: readonly number[]): Float64Array {
    return leftOver(this.record.insidePct, ownHumidity(this.walkOf(partOf(shape, values))));
  }

  private residualsOf(shape: Shape, values: readonly number[]): Float64Array {
    return soften(this.leftBy(shape, values), USUAL_ERROR_PCT);
  }

  /** What the air in it holds more than the air around, on the whole: walls give back what they take. */
  private usualExcess(): number {
    const { insidePct, drive } = this.record;
    let [more, many] = [0, 0];
    for (let i = 0; i < insidePct.length; i++) {
      if (Number.isNaN(insidePct[i]!)) continue;
      more += (insidePct[i]! / 100) * this.warmth.saturated[i]! - drive.vapourGm3[i]!;
      many += 1;
    }
    return many > 0 ? more / many : 0;
  }

  private search(shape: Shape, starts: number[][]): Candidate {
    const searched = [
      CHANGES,
      ...(shape.hasExcess ? [EXCESS] : []),
      ...(shape.hasBuffer ? [BUFFER, BUFFER_DAYS, WALLS] : []),
      ...(shape.hasDesiccant ? [LOADING] : []),
    ];
    return { shape, searched, fit: leastSquares(searched, starts, (values) => this.residualsOf(shape, values)) };
  }

  /** With walls that give and take; not beside desiccant, which holds so much more. */
  private withBuffer({ shape, fit }: Candidate): Candidate | null {
    if (this.place.desiccant) return null;
    const [changes = 0] = fit.values;
    const starts = [Math.exp(changes), ...CHANGES_STARTS].flatMap((n) =>
      WALLS_STARTS.map(({ share, days }) => [Math.log(n), this.usualExcess(), Math.log(n * share), Math.log(days), this.start.walls]),
    );
    return this.search({ ...shape, hasBuffer: true }, starts);
  }

  private earns(plain: Candidate, buffered: Candidate): boolean {
    const degrees = witnesses(buffered.fit.residuals) - buffered.fit.values.length;
    return degrees > 0 && (plain.fit.squares - buffered.fit.squares) / 3 > (F_BUFFER * buffered.fit.squares) / degrees;
  }

  private spreadOf({ shape, searched, fit }: Candidate): Spread | null {
    return spreadOf(searched, fit, (values) => this.residualsOf(shape, values), this.blockPoints);
  }

  private told({ shape, fit }: Candidate, spread: Spread | null): FittedVapour {
    const { walls, loadingGPerG, ...part } = partOf(shape, fit.values);
    const desiccant = filled(this.place.desiccant, loadingGPerG);
    const ends = (spread?.ends ?? []).map((values): VapourPart => {
      const { walls: _, loadingGPerG: end, ...more } = partOf(shape, values);
      return { ...more, desiccant: filled(this.place.desiccant, end) };
    });
    return {
      part: { ...part, desiccant },
      walls: walls ?? this.start.walls,
      intervals: intervalsOf(shape, fit.values, spread),
      ends,
      residuals: this.leftBy(shape, fit.values),
    };
  }
}

const filled = (desiccant: FittedPlace['desiccant'], loadingGPerG: number | null): FittedPlace['desiccant'] =>
  desiccant && loadingGPerG !== null ? { ...desiccant, loadingGPerG } : desiccant;

/** Means of hours leave a tenth of an hour open, and sensors that round a little more (our choice; held against hidden homes). */
const CLOCK_H = 0.1;
const ROUNDING = 0.02;
/** Two hygrometers that round are no nearer to each other than this, g/m3. */
const OPEN_EXCESS_GM3 = 0.02;
/** How far a rate is open, as a share of it, when the air follows so fast, a day. */
const openRate = (perDay: number): number => ROUNDING + (CLOCK_H * perDay) / HOURS_A_DAY;

function intervalsOf(shape: Shape, values: readonly number[], spread: Spread | null): FittedVapour['intervals'] {
  if (!spread) return {};
  const { airChangesPerDay, bufferPerDay } = partOf(shape, values);
  const open = openRate(airChangesPerDay + bufferPerDay);
  // The excess is no rate: how wet the air that comes in is does not hang on the clock.
  const half = spread.half.map((h, i) => Math.hypot(h, shape.hasExcess && i === 1 ? OPEN_EXCESS_GM3 : open));
  const low = partOf(
    shape,
    values.map((v, i) => v - half[i]!),
  );
  const high = partOf(
    shape,
    values.map((v, i) => v + half[i]!),
  );
  const between = (id: keyof typeof BOUNDS) => ({ low: Math.max(BOUNDS[id].min, low[id]), high: Math.min(BOUNDS[id].max, high[id]) });
  return {
    airChangesPerDay: between('airChangesPerDay'),
    ...(shape.hasExcess ? { vapourExcessGm3: between('vapourExcessGm3') } : {}),
    ...(shape.hasBuffer ? { bufferPerDay: between('bufferPerDay'), bufferDays: between('bufferDays') } : {}),
  };
}
