export { type Bout, boutsOf } from './bouts';
export { boutsFromHere } from './bouts-from-here';
export type { Trainee } from './fatigue-model';
export { type Forecast, forecast, knowledgeWords, type SetForecast } from './forecast';
