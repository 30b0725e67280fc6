export const daysWord = (days: number): string => `${days} ${days === 1 ? 'day' : 'days'}`;
