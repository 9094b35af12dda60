/** Choosing: `suggest(question)` ranks every holder for what is at hand. */
export { type ChartCard, type ChartLine, sizeChart } from './chart';
export { type Question, type Suggestion, becomes, papersFor, suggest, toolFor } from './chooser';
export { consequenceOf } from './consequence';
