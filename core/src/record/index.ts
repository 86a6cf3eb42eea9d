export { asOfDay, type Dated } from './asOf.js';
export {
  type AtRisk,
  atRisk,
  type Cause,
  type Dirt,
  type Goes,
  type Past,
  type SeenOrCleaned,
  type WentThrough,
  type WhatGoesBefore,
  whatGoesBefore,
} from './causes.js';
export { type Found, rateRatio, type RateRatio } from './rateRatio.js';
export { type ChoiceInHand, followedAt, type SchoolInHand, schoolsInHand } from './inHand.js';
export { knownOdds } from './knownOdds.js';
export { ladderAhead, type LadderAhead, markCosts, type Rung, whenToStop, type WhenToStop } from './ladder.js';
export { type Odds, oddsOf, type Prior, type Tries } from './odds.js';
export { chanceOfLoss, type Offer, type OfferCase, type OfferEnd, offerFor } from './offer.js';
export {
  OFFER_TROUBLES,
  offerCaseOf,
  type OfferSeen,
  type OfferSums,
  type OfferTrouble,
  offerVerdict,
  type OfferVerdict,
  type OwnOdds,
  SEEN_WHERE,
  type SeenHow,
  seenOf,
  type SeenWhere,
  waysOf,
  WHOSE_HANDS,
  type WhoseHands,
} from './offerSeen.js';
export {
  type BenchOver,
  type KnownOdds,
  recordOf,
  type RungAhead,
  rungAhead,
  type RungOnSoil,
  type RungRecord,
  triesOf,
  usualOf,
} from './tries.js';
export {
  type ConditionReport,
  isCare,
  type Opening,
  openingsOf,
  REPORT_PARTS,
  type ReportedEntry,
  type ReportedSurface,
  type ReportedThing,
  type ReportPart,
  signedText,
  type SignedReport,
} from './report.js';
export { benchMinutes, type BenchTook, type Cost, costOf, costsBy, STOOD_OPEN } from './costs.js';
