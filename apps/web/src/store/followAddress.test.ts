import { describe, expect, it } from 'vitest';
import { followAddress } from './followAddress.ts';

const at = (text: string) => new URLSearchParams(text);

describe('changes of the address asked for faster than the router moves', () => {
  it('build on each other, also when the first of them arrives between the second and the third', () => {
    const address = followAddress();
    address.arrive(at('holes=only'));
    const first = address.ask({ holes: undefined });
    expect(first.toString()).toBe('');
    const second = address.ask({ wear: 'no-gi' });
    address.arrive(first);
    // Told again by another place that looks at the address.
    address.arrive(first);
    const third = address.ask({ level: 'novice' });
    expect(third.toString()).toBe('wear=no-gi&level=novice');
    address.arrive(second);
    address.arrive(third);
    expect(address.ask({ fold: 'all' }).toString()).toBe('wear=no-gi&level=novice&fold=all');
  });

  it('may depend on what was asked before', () => {
    const address = followAddress();
    address.arrive(at('at=a&met=b'));
    const back = (now: URLSearchParams) => (now.get('met') ? { met: '' } : { at: '' });
    expect(address.ask(back).toString()).toBe('at=a');
    expect(address.ask(back).toString()).toBe('');
  });

  it('are overtaken where somebody else moves, and skipped steps do no harm', () => {
    const address = followAddress();
    address.ask({ a: '1' });
    const last = address.ask({ b: '2' });
    // The router went to the last one at once.
    address.arrive(last);
    expect(address.ask({ c: '3' }).toString()).toBe('a=1&b=2&c=3');
    address.arrive(at('elsewhere=yes'));
    expect(address.ask({ d: '4' }).toString()).toBe('elsewhere=yes&d=4');
  });
});
