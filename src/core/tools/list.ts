import { cornerRounder } from './corner-rounder';
import { edgeBoard } from './edge-board';
import { envelopeBoard } from './envelope-board';
import { punch } from './punch';
import { ruler } from './ruler';
import { scoringBoard } from './scoring-board';
import type { ToolType } from './tool';
import { trimmer } from './trimmer';

/** Every kind of tool there is, as the tools page lists them. A new one is one file and one line here. */
export const TOOLS: readonly ToolType[] = [
  envelopeBoard,
  scoringBoard,
  edgeBoard,
  trimmer,
  ruler,
  punch,
  cornerRounder,
];
