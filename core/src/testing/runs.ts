/** Cases of a law: few in every test, as many as `npm run bench -- laws` asks for there. */
export const runs = (few: number): { numRuns: number } => ({ numRuns: Number(process.env['LAW_RUNS'] ?? few) });
