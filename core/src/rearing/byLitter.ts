import type { SpeciesSettings } from '../species';

/** Young that are weighed day by day are told of litter by litter. */
export const isByLitter = ({ rearing }: Pick<SpeciesSettings, 'rearing'>): boolean => rearing.eachDailyDays > 0;
