import { offerSeen } from '@bright-keeper/contract';
import type { record } from '@bright-keeper/core';
import { defineDocument } from '../db/index.js';

/** What was seen of what is offered, and what it costs. */
export const OFFER_DOCUMENT = defineDocument<record.OfferSeen>({ name: 'offer.seen', version: 1, schema: offerSeen, upgrades: {} });
