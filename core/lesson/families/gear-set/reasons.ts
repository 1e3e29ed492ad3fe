import type { Reasons } from '../../family';
import { setClaimHolds } from './claims';
import type { GearSetTypes } from './types';
import {
  arrangementNamed,
  choiceThoughts,
  gives,
  partSpeeds,
  rolesThoughts,
} from './choiceReasons';
import { numberFacts, numberThoughts } from './numberReasons';
import { wayClaims } from './setFacts';

export const reasons: Reasons<GearSetTypes> = {
  thoughts: { number: numberThoughts, choice: choiceThoughts, roles: rolesThoughts },
  facts: {
    number: numberFacts,
    choice: ({ question, subject: { setup }, key }) =>
      question.ask === 'fastest'
        ? partSpeeds(setup)
        : question.ask === 'arrangement' || question.ask === 'right-for'
          ? key.right.slice(0, 1).flatMap((k) => {
              const roles = arrangementNamed(k);
              return roles ? gives(setup, roles.drives, roles.driven) : [];
            })
          : wayClaims(setup),
    roles: ({ subject: { setup }, key }) =>
      gives(setup, key.right[0]!.drives, key.right[0]!.driven),
  },
  holds: (claim, { question, subject }) => setClaimHolds(claim, question, subject.setup),
};
