/** Lints texts as if they stood in files: pairs of path and text on standard input, the messages of each on standard output. */
import { readFileSync } from 'node:fs';
import { ESLint } from 'eslint';

const eslint = new ESLint();
const told = [];
for (const [filePath, text] of JSON.parse(readFileSync(0, 'utf8'))) {
  const [result] = await eslint.lintText(text, { filePath });
  told.push(result.messages.map(({ message }) => message));
}
process.stdout.write(JSON.stringify(told));
