import { CONTACTS, type Contact } from '../model/contacts.ts';
import type { Hold } from '../model/hold.ts';

const END_OF_LIMB: Partial<Record<Contact, Contact>> = {
  armL: 'handL',
  armR: 'handR',
  legL: 'footL',
  legR: 'footR',
};

/** Contacts with nothing in them. An arm whose hand holds is not free, nor is a leg whose foot does. */
export function freeContacts(holds: readonly Hold[]): Contact[] {
  const used = new Set(holds.flatMap((hold) => hold.contacts));
  return CONTACTS.filter((contact) => {
    const end = END_OF_LIMB[contact];
    return !used.has(contact) && !(end && used.has(end));
  });
}
