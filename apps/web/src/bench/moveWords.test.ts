import { moveWords, stageWord } from './moveWords.ts';

test.each([
  [{ kind: 'look', name: 'Rub the oil', minutes: 0.5 } as const, { text: 'Next look: Rub the oil', minutes: '30 s', to: '' }],
  [{ kind: 'verdict', fault: 'Worm stripped', probability: 0.953 } as const, { text: 'Verdict: Worm stripped, 95 %', to: '/verdict' }],
  [{ kind: 'measure', gear: 'worm' } as const, { text: 'Measure the gear', to: '/gear/worm' }],
  [{ kind: 'findPart', gear: 'worm' } as const, { text: 'Find the part that fits', to: '/gear/worm' }],
  [{ kind: 'setRight', remedy: 'Clean it.', minutes: 20 } as const, { text: 'Clean it.', minutes: '20 min', to: '/close' }],
  [{ kind: 'receive', gear: 'worm' } as const, { text: 'Measure what came', to: '/receive/worm' }],
  [{ kind: 'receive', gear: null } as const, { text: 'Measure what came', to: '/items' }],
  [{ kind: 'waitForPart', name: 'Lip seal' } as const, { text: 'Waiting for Lip seal', to: '/items' }],
  [{ kind: 'setRight', remedy: null, minutes: 0 } as const, { text: 'Set it right and prove it', to: '/close' }],
  [{ kind: 'finished' } as const, { text: 'chips', to: '/close' }],
  [{ kind: 'noneOfThese', probability: 0.7 } as const, { text: 'Probably nothing on this list: see what to do.', to: '' }],
  [null, { text: 'Working out the next move …', to: '' }],
])('%j', (move, words) => expect(moveWords(move, 'chips')).toEqual(words));

test.each([
  ['', 'Trace'],
  ['/verdict', 'Trace'],
  ['/gear/worm', 'Measure'],
  ['/receive/worm', 'Match'],
  ['/items', 'Match'],
  ['/close', 'Close'],
])('what is done at %j is the stage %s', (to, stage) => expect(stageWord({ to })).toBe(stage));
