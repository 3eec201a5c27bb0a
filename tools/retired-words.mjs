/**
 * Words that are not used in texts or public names any more, each with the one that is. Keys of stored
 * plans and names of calculations stay as they are: a text is judged where it has more than one word.
 */
const texts = [
  [/\breckon/i, 'count, calculate'],
  [/\b(she|her|hers)\b/, 'it, or the boat by its name'],
  [/\bgive or take\b/i, 'plus or minus'],
  [/\bfull marks\b/i, 'the highest score'],
  [/\balarm calls\b|\bcalls at\b/i, 'sounds at'],
  [/\bputting right\b/i, 'fix'],
  [/\bdisturb/i, 'interfere, interference'],
  [/\bclash/i, 'conflict'],
  [/\bway out\b/i, 'fix'],
  [/\b(what|which|fish|things?) (is |are )?sought\b/i, 'target species'],
  [/\b(was|were|is|are|be|been) kept\b/i, 'saved'],
  [/\b[Tt]ake (it )?off\b/, 'delete'],
  [/\bfold(s|ed)? (it |the |them )?away\b/i, 'collapse'],
];
const names = [
  [/[Dd]isturb/, 'interference'],
  [/[Cc]lash/, 'conflict'],
  [/^wayOut/, 'fix'],
  [/^wants(Of)?$|^Wants$/, 'requirements'],
  [/[Rr]eckon/, 'calculate'],
  [/^[Rr]each/, 'detection range, beam range'],
  [/[Kk]ept/, 'saved, acknowledged'],
  [/[Ss]ought/, 'target species'],
];

const inTexts = ([{ source, flags }, better]) =>
  // With a blank somewhere: a text of one word is a key.
  ['Literal[value=', 'TemplateElement[value.raw='].map((node) => ({
    selector: `:not(ImportDeclaration) > ${node}/^(?=[^]* )[^]*(?:${source})/${flags}]`,
    message: `In texts write "${better}" (docs/glossary.md).`,
  }));
const inNames = ([{ source }, better]) => ({
  selector: `:matches(ExportNamedDeclaration > * > VariableDeclarator, ExportNamedDeclaration > *) > Identifier.id[name=/${source}/]`,
  message: `Call it "${better}" (docs/glossary.md).`,
});

/** For ESLint's no-restricted-syntax. */
export const retiredWords = [...texts.flatMap(inTexts), ...names.map(inNames)];
