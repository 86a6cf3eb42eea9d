import { findingsSeen, goneFields, ITEM_STATUSES, itemFileUpdate, itemInput } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import type Joi from 'joi';
import {
  as,
  at,
  LONGEST,
  maybeAt,
  maybeDay,
  maybeReference,
  oneOf,
  reference,
  sha256,
  stale,
  surface,
  type TableColumns,
  text,
  whole,
  yesNo,
} from './columns.js';

type GoneRow = { gone_why: string | null; gone_on: string | null; archived_at: string | null };

/** Things, their pictures and papers, and what is known of their surfaces. */
export const GEAR_COLUMNS: Readonly<Record<string, TableColumns>> = {
  item: {
    columns: {
      id: reference(),
      version: stale(),
      name: as(itemInput, 'name'),
      kind: as(itemInput, 'kind'),
      notes: text(LONGEST.note),
      acquired_on: maybeDay(),
      status: oneOf(ITEM_STATUSES),
      belongs_to: maybeReference(),
      archived_at: maybeAt(),
      gone_why: goneFields.why.allow(null),
      gone_on: maybeDay(),
      gone_for: goneFields.for,
      created_at: at(),
      updated_at: at(),
    },
    whole: ((row: GoneRow, helpers) =>
      (row.gone_why === null) === (row.gone_on === null) && (row.gone_why === null || row.archived_at !== null)
        ? row
        : helpers.message(
            { custom: 'What is gone is archived, with its reason and its day.' },
            { at: ['gone_why'] },
          )) as Joi.CustomValidator,
  },
  item_file: {
    columns: {
      id: reference(),
      item_id: reference(),
      blob: sha256().required(),
      role: itemFileUpdate.extract('role'),
      name: itemFileUpdate.extract('name'),
      at: at(),
      chosen_at: maybeAt(),
    },
  },
  surface_state: {
    columns: {
      item_id: reference(),
      surface: surface(),
      findings: findingsSeen.required(),
      verdict: oneOf(care.VERDICTS),
      known_since: at(),
    },
  },
  contact: {
    columns: { id: reference(), item_id: reference(), surface: surface(), touches: whole(), without_evidence: yesNo(), at: at() },
  },
};
