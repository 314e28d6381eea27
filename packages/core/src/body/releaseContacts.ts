import type { Contact } from '../model/contacts.ts';
import type { Hold } from '../model/hold.ts';

/** The holds after letting go with these contacts: a shared hold stays with the contacts that still hold. */
export function releaseContacts(holds: readonly Hold[], contacts: readonly Contact[]): Hold[] {
  return holds.flatMap((hold) => {
    const left = hold.contacts.filter((contact) => !contacts.includes(contact));
    if (left.length === hold.contacts.length) return [hold];
    return left.length === 0 ? [] : [{ ...hold, contacts: left }];
  });
}
