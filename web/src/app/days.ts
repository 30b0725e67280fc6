import { numberWord } from '@kovelin/core/words/names.ts';

export const daysWord = (days: number): string => `${days} ${days === 1 ? 'day' : 'days'}`;
/** “alone”, “two people”. */
export const crewWord = (people: number): string => (people === 1 ? 'alone' : `${numberWord(people)} people`);
