// Takes the words of the lists out of the API's document: what a person calls each member, said once by the server.
import { readFileSync, writeFileSync } from 'node:fs';

const words = JSON.parse(readFileSync('../server/openapi.json', 'utf8'))['x-words'];
writeFileSync(
  'src/api/generated/words.ts',
  `/** Made by \`npm run api\` from server/openapi.json. */\nexport const WORDS = ${JSON.stringify(words, null, 2)} as const;\n`,
);
