import type { Due, Help, ReviewEntry, ReviewReason } from '../../core/upkeep/index.ts';
import type { CareWork, Chore, Household } from '../../core/records/index.ts';
import type { Reach } from '../../core/storage/index.ts';
import { wordCount } from './grammar.ts';

/** Words of the year; not in the index, only its screens need them. */

/** `two years`, `14 months`. */
function wordMonths(months: number): string {
  if (months < 18) return wordCount(months, 'month');
  const years = Math.round(months / 6) / 2;
  return years === Math.floor(years) ? wordCount(years, 'year') : `${Math.floor(years)}½ years`;
}

export function wordReviewReason(reason: ReviewReason, household: Household): string {
  switch (reason.code) {
    case 'unused':
      return `not used for ${wordMonths(reason.months)}`;
    case 'twin':
      return `much like ${household.items.get(reason.itemId)?.name ?? 'another one'}, which is used more`;
    case 'expired':
      return `good until ${reason.on}, which is past`;
    case 'dried':
      return `opened on ${reason.openedOn}, and keeps ${wordMonths(reason.months)}`;
    case 'air':
      return `an heirloom, not aired and refolded for ${wordMonths(reason.months)}`;
    case 'room':
      return 'its place is to be over full';
  }
}

const IN_REACH: Readonly<Record<Reach, string>> = {
  easy: 'in easy reach',
  bend: 'where one bends',
  stretch: 'where one stretches',
  kneel: 'where one kneels',
  stool: 'above the step stool',
};

/** What its room costs, in words: `14 l in easy reach for two years`. */
export function wordRent({ litres, reach, isElsewhere, months }: ReviewEntry): string {
  const much = litres >= 10 ? `${Math.round(litres)} l` : litres >= 0.1 ? `${litres.toFixed(1)} l` : 'hardly any room';
  const where = reach === null ? '' : isElsewhere ? ' in another room' : ` ${IN_REACH[reach]}`;
  return `${much}${where}${months > 0 ? ` for ${wordMonths(months)}` : ''}`;
}

const WORKS: Readonly<Record<Exclude<CareWork, 'other'>, string>> = {
  oil: 'Oil it',
  lint: 'Clean out the lint',
  service: 'Have it serviced',
  needle: 'Change the needle',
  blade: 'Change the blade',
  air: 'Air it',
  refold: 'Refold it on other lines',
};

export const wordChore = ({ work, name }: Pick<Chore, 'work' | 'name'>): string =>
  work === 'other' ? (name ?? 'Something') : WORKS[work];

/** What is to be done, about what. */
export function wordDue(due: Due, today: string): string {
  switch (due.code) {
    case 'expires':
      return due.on !== null && due.on >= today ? 'good until then' : 'past its best; try it, or throw it out';
    case 'blunt':
      return `${Math.round((due.lot.usedHours ?? 0) * 10) / 10} h sewn; change it`;
    case 'back':
      return `lent to ${due.lot.lentTo ?? 'somebody'}`;
    case 'repair':
      return `being mended by ${due.lot.lentTo ?? 'somebody'}`;
    case 'wash':
      return 'to be washed before it is cut';
    case 'leaves':
      return due.lot.leaving?.toWhom ? `goes to ${due.lot.leaving.toWhom}` : 'to be let go';
    case 'air':
      return 'air it, and refold it on other lines';
    case 'chore':
      return wordChore(due.chore).toLowerCase();
    case 'restock':
      return 'below its mark; buy more';
    case 'project':
      return 'due';
    case 'season':
      return due.way === 'goes' ? 'goes away for the season' : 'comes back for the season';
  }
}

/** The name of what is due. */
export function nameDue(due: Due): string {
  return due.code === 'project' ? due.project.name : due.code === 'season' ? due.season.name : due.item.name;
}

/** What the one key does about it. */
export function wordDueDone(due: Due): string {
  switch (due.code) {
    case 'expires':
      return 'Thrown out';
    case 'blunt':
      return 'Changed';
    case 'back':
    case 'repair':
      return 'It came back';
    case 'wash':
      return 'Washed';
    case 'leaves':
      return 'It is gone';
    case 'air':
    case 'chore':
      return 'Done';
    case 'restock':
      return 'Shop card';
    case 'project':
      return 'Open it';
    case 'season':
      return 'Plan it';
  }
}

/** Whole per cent, but nothing that may happen is called certain or impossible. */
export function wordChance(chance: number): string {
  if (chance <= 0) return 'none';
  if (chance < 0.01) return 'under 1 %';
  return chance > 0.99 ? 'over 99 %' : `${Math.round(100 * chance)} %`;
}

export const wordLitres = (litres: number): string =>
  litres < 10 ? `${litres.toFixed(1)} l` : `${Math.round(litres)} l`;

/** What helps a place, in words. */
export function wordHelp(help: Help, group: string, place: string): string {
  switch (help.code) {
    case 'oneInOneOut':
      return `One in, one out for ${group}`;
    case 'letGo':
      return `Let go of ${wordLitres(help.litres)} of ${group}, about ${wordCount(help.lots, 'thing')}`;
    case 'boundary':
      return `Move ${wordLitres(help.litres)} of ${group} to ${place}, which has room`;
    case 'bin':
      return `Put up ${place}, which stands idle, for ${wordLitres(help.litres)} of it`;
  }
}
