import type { Due, Help, ReviewEntry, ReviewReason } from '../../core/upkeep/index.ts';
import type { CareWork, Chore, Household } from '../../core/records/index.ts';
import type { Reach } from '../../core/storage/index.ts';
import { formatFixed, perLanguage, t } from '../language/index.ts';
import { midSentence } from './grammar.ts';
import { wordDay } from './days.ts';

/** Words of the year; not in the index, only its screens need them. */

/** `two years`, `14 months`. */
function wordMonths(months: number): string {
  if (months < 18) return t('{n, plural, one {# month} other {# months}}', { n: months });
  const years = Math.round(months / 6) / 2;
  return years === Math.floor(years)
    ? t('{n, plural, one {# year} other {# years}}', { n: years })
    : t('{years}½ years', { years: Math.floor(years) });
}

export function wordReviewReason(reason: ReviewReason, household: Household): string {
  switch (reason.code) {
    case 'unused':
      return t('not used for {months}', { months: wordMonths(reason.months) });
    case 'twin':
      return t('much like {other}, which is used more', {
        other: household.items.get(reason.itemId)?.name ?? t('another one'),
      });
    case 'expired':
      return t('good until {on}, which is past', { on: wordDay(reason.on) });
    case 'dried':
      return t('opened on {openedOn}, and keeps {months}', {
        openedOn: wordDay(reason.openedOn),
        months: wordMonths(reason.months),
      });
    case 'air':
      return t('an heirloom, not aired and refolded for {months}', { months: wordMonths(reason.months) });
    case 'room':
      return t('its place is to be over full');
  }
}

const IN_REACH = perLanguage((): Readonly<Record<Reach, string>> => ({
  easy: t('in easy reach'),
  bend: t('where one bends'),
  stretch: t('where one stretches'),
  kneel: t('where one kneels'),
  stool: t('above the step stool'),
}));

/** What its room costs, in words: `14 l in easy reach for two years`. */
export function wordRent({ litres, reach, isElsewhere, months }: ReviewEntry): string {
  const much =
    litres >= 10 ? `${Math.round(litres)} l` : litres >= 0.1 ? `${formatFixed(litres, 1)} l` : t('hardly any room');
  const where = reach === null ? '' : isElsewhere ? t(' in another room') : ` ${IN_REACH()[reach]}`;
  return `${much}${where}${months > 0 ? t(' for {months}', { months: wordMonths(months) }) : ''}`;
}

const WORKS = perLanguage((): Readonly<Record<Exclude<CareWork, 'other'>, string>> => ({
  oil: t('Oil it'),
  lint: t('Clean out the lint'),
  service: t('Have it serviced'),
  needle: t('Change the needle'),
  blade: t('Change the blade'),
  air: t('Air it'),
  refold: t('Refold it on other lines'),
}));

export const wordChore = ({ work, name }: Pick<Chore, 'work' | 'name'>): string =>
  work === 'other' ? (name ?? t('Something')) : WORKS()[work];

/** What is to be done, about what. */
export function wordDue(due: Due, today: string): string {
  switch (due.code) {
    case 'expires':
      return due.on !== null && due.on >= today ? t('good until then') : t('past its best; try it, or throw it out');
    case 'blunt':
      return t('{usedHours} h sewn; change it', { usedHours: Math.round((due.lot.usedHours ?? 0) * 10) / 10 });
    case 'back':
      return t('lent to {lentTo}', { lentTo: due.lot.lentTo ?? t('somebody') });
    case 'repair':
      return t('being mended by {lentTo}', { lentTo: due.lot.lentTo ?? t('somebody') });
    case 'wash':
      return t('to be washed before it is cut');
    case 'leaves':
      return due.lot.leaving?.toWhom ? t('goes to {whom}', { whom: due.lot.leaving.toWhom }) : t('to be let go');
    case 'air':
      return t('air it, and refold it on other lines');
    case 'chore':
      return midSentence(wordChore(due.chore));
    case 'restock':
      return t('below its mark; buy more');
    case 'project':
      return t('due');
    case 'season':
      return due.way === 'goes' ? t('goes away for the season') : t('comes back for the season');
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
      return t('Thrown out');
    case 'blunt':
      return t('A new needle is in');
    case 'back':
    case 'repair':
      return t('It came back');
    case 'wash':
      return t('Washed');
    case 'leaves':
      return t('It is gone');
    case 'air':
    case 'chore':
      return t('Done');
    case 'restock':
      return t('Shop card');
    case 'project':
      return t('Open it');
    case 'season':
      return t('Plan it');
  }
}

/** Whole per cent, but nothing that may happen is called certain or impossible. */
export function wordChance(chance: number): string {
  if (chance > 0 && chance < 0.01) return t('under 1 %');
  return chance > 0.99 ? t('over 99 %') : `${Math.round(100 * chance)} %`;
}

export const wordLitres = (litres: number): string =>
  litres < 10 ? `${formatFixed(litres, 1)} l` : `${Math.round(litres)} l`;

/** What helps a place, in words. */
export function wordHelp(help: Help, group: string, place: string): string {
  switch (help.code) {
    case 'oneInOneOut':
      return t('One in, one out for {group}', { group });
    case 'letGo':
      return t('Let go of {litres} of {group}, about {lots, plural, one {# thing} other {# things}}', {
        litres: wordLitres(help.litres),
        group,
        lots: help.lots,
      });
    case 'boundary':
      return t('Move {litres} of {group} to {place}, which has room', {
        litres: wordLitres(help.litres),
        group,
        place,
      });
    case 'bin':
      return t('Put up {place}, which stands idle, for {litres} of it', { place, litres: wordLitres(help.litres) });
  }
}
