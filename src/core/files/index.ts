/** Files: `sheetSvg(allSheets(made, design), 'Star card')` is the pattern at true size; a project file holds the design. */
export { readProject, writeProject, LONGEST_PROJECT, type ProjectFile } from './project';
export { allSheets, setSheets, sheetsByPaper } from './sheet-scenes';
export { sheetSvg } from './svg';
export { PAGES, type Page, type Tile } from './tiles';
export { jsonSchema } from './json-schema';
export { logEntrySchema, type LogEntry } from './log';
