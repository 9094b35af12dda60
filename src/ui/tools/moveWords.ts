import { leftOf } from '@/core/pattern';
import type { Say } from '@/core/plan';
import type { Move } from '@/core/tools';

/** One move at a board, in a few words. */
export function moveWords(move: Move, say: Say): string {
  switch (move.do) {
    case 'place':
      return {
        ruler: `lay edge ${move.edge} in the board, the left end at ${say(move.at)}.`,
        mark: `lay edge ${move.edge} in the board, your mark in the middle of the notch.`,
        pointer: `bring the score to the pointer.`,
      }[move.by];
    case 'punch':
      return 'punch.';
    case 'score':
      return 'score along the groove.';
    case 'turn':
      return 'turn the sheet a quarter clockwise.';
    case 'mark':
      return `mark ${say(move.at)} on edge ${move.edge}.`;
    case 'join':
      return `score along a ruler from edge ${move.from.edge} to edge ${move.to.edge}.`;
    case 'groove':
      return `edge ${leftOf(move.edge)} against the fence, score down the groove at ${say(move.at)}.`;
    case 'edge-score':
      return `lay edge ${move.edge} in the edge board and score.`;
    case 'relief':
      return `punch the relief notch at ${say(move.at)}.`;
    case 'snip':
      return `cut out the small corner between the marks on edge ${move.edge}.`;
    case 'cut':
      return `cut off the ${move.what}.`;
    case 'slit':
      return `cut the ${move.what}.`;
    case 'round':
      return `round the ${move.what}.`;
    case 'bite':
      return `punch the ${move.what}.`;
    case 'hole':
      return `punch the hole in the ${move.what}.`;
  }
}
