import { storage } from '@bright-keeper/core';
import Joi from 'joi';
import { id, toldFor, version } from '../joi.js';

/** The gel or rice that lies in a place: how much, how full it was, and when that was known. */
export type DesiccantInput = { kind: 'silica-gel' | 'rice'; massG: number; loadingPct: number };

/** What a keeper says of a place. */
export type PlaceInput = {
  name: string;
  kind: storage.PlaceKind;
  volumeL: number;
  /** Null: as measured from the log, else what is usual for its kind. */
  airChangesPerDay: number | null;
  openingsPerWeek: number;
  lining: storage.Lining;
  /** The band it should stay in, % RH. */
  lowPct: number;
  highPct: number;
  /** The place whose air surrounds it; null when it stands in the open room of no place we know. */
  standsInId: string | null;
  note: string;
};

const fields = {
  name: Joi.string().pattern(/\S/, 'something to read').max(120).messages({ 'string.pattern.name': 'This must not be empty.' }).required(),
  kind: Joi.string()
    .valid(...storage.PLACE_KINDS)
    .required(),
  volumeL: Joi.number().min(1).max(100_000).required(),
  airChangesPerDay: Joi.number().min(0.01).max(500).allow(null).required(),
  openingsPerWeek: Joi.number().min(0).max(200).required(),
  lining: Joi.string()
    .valid(...storage.LINING_IDS)
    .required(),
  lowPct: Joi.number().min(0).max(100).required(),
  highPct: Joi.number()
    .min(0)
    .max(100)
    .greater(Joi.ref('lowPct'))
    .messages({ 'number.greater': 'The upper end of the band must lie above the lower one.' })
    .required(),
  standsInId: id().allow(null).required(),
  note: Joi.string().allow('').max(1000).required(),
};
export const placeInput = Joi.object<PlaceInput>(fields);
export type PlaceUpdate = PlaceInput & { version: number };
export const placeUpdate = Joi.object<PlaceUpdate>({ ...fields, version: version().required() });

/**
 * Moves a thing into a place, or out of every place we know (null): now, or since when it lies there. What belongs to it and
 * lies with it goes along, unless it goes `alone`.
 */
export type MoveItem = { placeId: string | null; since: string | null; alone?: boolean };
const move = { placeId: id().allow(null).required(), since: toldFor(), alone: Joi.boolean() };
export const moveItem = Joi.object<MoveItem>(move);

/** As many as a shelf is walked at once. */
const MOST_AT_ONCE = 2000;
const many = () => Joi.array().items(id()).min(1).max(MOST_AT_ONCE).unique().required();
/** The same for many things at once. */
export type MoveItems = MoveItem & { itemIds: string[] };
export const moveItems = Joi.object<MoveItems>({ itemIds: many(), ...move });
/** What became of it: the entries that take it back, and what was not moved, with its reason. */
export type NotMoved = { itemId: string; name: string } & ({ because: 'lay-elsewhere'; placeName: string } | { because: 'quarantined' });
export type Moved = { entryIds: string[]; refused: NotMoved[] };
/** Takes moves back; what was moved again since stays where it is. */
export type TakeMovesBack = { entryIds: string[] };
export const takeMovesBack = Joi.object<TakeMovesBack>({ entryIds: many() });
export type MovesTakenBack = { takenBack: number; kept: number };

export type Place = PlaceInput & { id: string; version: number; archivedAt: string | null };
export type Places = { places: Place[] };
/** One thing's stay in one place; `until` is null while it lies there. */
export type Stay = { placeId: string; placeName: string; since: string; until: string | null };
/** Something that shared a place with a thing, and until when. */
export type Neighbour = { itemId: string; name: string; placeName: string; until: string | null };
