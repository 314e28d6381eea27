import type { Contact } from '../model/contacts.ts';
import type { Hold } from '../model/hold.ts';

/** The holds after letting go with these contacts: a shared hold stays with the contacts that still hold. */
export function releaseContacts(holds: readonly Hold[], contacts: readonly Contact[]): Hold[] {
  const left: Hold[] = [];
  for (const hold of holds) {
    const lets = hold.contacts.some((contact) => contacts.includes(contact));
    const still = lets ? hold.contacts.filter((contact) => !contacts.includes(contact)) : hold.contacts;
    if (!lets) left.push(hold);
    else if (still.length > 0) left.push({ ...hold, contacts: still });
  }
  return left;
}
