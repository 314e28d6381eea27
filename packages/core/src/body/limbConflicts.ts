import type { Contact } from '../model/contacts.ts';
import type { Hold } from '../model/hold.ts';
import { contactName, joinWords, targetName, type WordContext } from './words.ts';

export interface LimbConflict {
  contact: Contact;
  holds: Hold[];
  /** "left hand holds the far sleeve and the near ankle". */
  words: string;
}

/** Every contact that is asked to bear more than one hold. */
export function limbConflicts(holds: readonly Hold[], context: WordContext): LimbConflict[] {
  const byContact = new Map<Contact, Hold[]>();
  for (const hold of holds) {
    for (const contact of hold.contacts) byContact.set(contact, [...(byContact.get(contact) ?? []), hold]);
  }
  return [...byContact]
    .filter(([, borne]) => borne.length > 1)
    .map(([contact, borne]) => ({
      contact,
      holds: borne,
      words: `${contactName(contact)} holds ${joinWords(borne.map((hold) => targetName(hold.target, context)))}`,
    }));
}
