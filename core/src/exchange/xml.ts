import { XMLParser, XMLValidator, type X2jOptions } from 'fast-xml-parser';
import { bad, good, type Result } from '../units/problem.ts';

/** XML as plain objects; entities are never resolved. What is not whole gives a sentence with its line. */
export function parseXml(text: string, what: string, options: X2jOptions): Result<unknown> {
  const valid = XMLValidator.validate(text);
  if (valid !== true)
    return bad(`This is not a whole ${what}: ${valid.err.msg}`, { line: valid.err.line, column: valid.err.col });
  try {
    return good(new XMLParser({ ...options, ignoreAttributes: false, processEntities: false }).parse(text));
  } catch (error) {
    // the parser is stricter than its own validator about what stands before the first element
    return bad(`This is not a whole ${what}: ${error instanceof Error ? error.message : String(error)}`);
  }
}
