import type { Reasons } from '../../family';
import { clutchClaimHolds } from './claims';
import type { ClutchTypes } from './types';
import { holdFacts, holdThoughts, slipsFrom } from './holdReasons';
import { linkageClaims, orderFacts, orderThoughts, playThoughts } from './linkageReasons';
import { clearanceWith, selectiveThoughts, upgradeFacts, upgradeThoughts } from './packReasons';
import { bearingClaims, noiseThoughts, startClaims, startThoughts } from './shopReasons';

export const reasons: Reasons<ClutchTypes> = {
  thoughts: {
    'set-free-play': playThoughts,
    'will-it-hold': holdThoughts,
    'adjust-order': orderThoughts,
    'noise-test': noiseThoughts,
    'draw-start': startThoughts,
    'choose-selective': selectiveThoughts,
    'upgrade-limit': upgradeThoughts,
  },
  facts: {
    'set-free-play': ({ question, subject: { rig }, answer }) =>
      linkageClaims(question, rig, answer),
    'will-it-hold': ({ question, subject: { rig }, key }) =>
      key.kind === 'slips-first' ? slipsFrom(question, rig, key.range) : holdFacts(question, rig),
    'adjust-order': ({ question, subject: { rig } }) => orderFacts(question, rig),
    'noise-test': ({ question, subject: { rig }, key, answer }) =>
      bearingClaims(question, rig, key.right.includes(answer.test) ? answer.test : key.right[0]!),
    'draw-start': ({ question, subject: { rig }, answer }) => startClaims(question, rig, answer),
    'choose-selective': ({ question, subject: { rig }, key }) =>
      clearanceWith(question, rig, key.best.thickness),
    'upgrade-limit': ({ question, subject: { rig } }) => upgradeFacts(question, rig),
  },
  holds: (claim, { question, subject }) => clutchClaimHolds(claim, question, subject.rig),
};
