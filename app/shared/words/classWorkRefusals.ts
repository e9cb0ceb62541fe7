import type { FilingRefusal } from '#core/filing'
import type { PlacingRefusal } from '#core/placing'
import type { SeriesRefusal } from '#core/series'
import type { StandingRefusal } from '#core/standing'
import { sayDay } from './times'

/** Why headings or categories are not kept, and what to do. */
export function sayFilingRefusal(r: FilingRefusal): string {
  const what = r.field === 'headings' ? 'heading' : 'category'
  switch (r.code) {
    case 'filing/no-name':
      return `Give the ${what} in row ${r.row} a name, or take it out.`
    case 'filing/name-twice':
      return `“${r.name}” is there twice. Give one of the two another name.`
    case 'filing/too-many':
      return `A class has at most ${r.most} of them; these are ${r.count}.`
    case 'filing/bad-weight':
      return `“${r.name}”: give a weight from 0 to 1000.`
    case 'filing/bad-ceiling':
      return `“${r.name}”: let a learner have from 1 to 50 pieces of it open at once, or as many as come.`
  }
}

/** Why a series is not kept or released, and what to do. */
export function saySeriesRefusal(r: SeriesRefusal): string {
  switch (r.code) {
    case 'series/too-long':
      return `A series has at most ${r.most} rows; this would have ${r.count}. Make a second series of the rest.`
    case 'series/bad-step':
      return r.field === 'every'
        ? 'Every: give a whole number from 1 to 400.'
        : 'Stays open: give a whole number from 1 to 400, or leave it empty.'
    case 'series/same-piece-twice':
      return `Row ${r.row} has a piece that stands further up already. Take one of the two out.`
    case 'series/same-row-twice':
      return `Row ${r.row} is there twice. Reload the page and add it again.`
    case 'series/nobody':
      return 'Nobody gets this series. Choose the class, a group or a learner.'
    case 'series/not-in-class':
      return 'Somebody named here is not in this class any more. Reload the page and choose again.'
    case 'series/row-begun':
      return (
        `Row ${r.row}, “${r.title}”, was begun by learners, so it stays. ` +
        'Give it other days instead, or withdraw its work.'
      )
    case 'series/still-released':
      return `Row ${r.row} is released. Clear the series before you remove it.`
    case 'series/nothing-to-release':
      return 'Every row that has both days is released already. Give the others a first and a last day.'
  }
}

/** Why standing work is not kept or laid, and what to do. */
export function sayStandingRefusal(r: StandingRefusal): string {
  switch (r.code) {
    case 'standing/unknown-lesson':
      return r.field === 'lessonId'
        ? `“${r.title}”: its lesson is no longer in the plan. Reload the page.`
        : `“${r.title}” hangs on a lesson that is not in this plan. Choose another lesson for its moments.`
    case 'standing/anchor-in-other-part':
      return (
        `“${r.title}” hangs on a lesson of another part of the plan, which may not be laid together with it. ` +
        'Choose a lesson of the same part.'
      )
    case 'standing/no-dates':
      return (
        `“${r.title}” has a date. Work of a plan hangs on lessons, so that every class gets its own dates: ` +
        'choose a lesson instead.'
      )
    case 'standing/too-many':
      return `A plan carries at most ${r.most} pieces of standing work. Take some out first.`
    case 'standing/no-place':
      return (
        `“${r.title}” has no place in ${r.className}: its lesson does not fit there, or it would be after the ` +
        'year. Leave it out, or make the plan fit first.'
      )
    case 'standing/other-plan':
      return `${r.className} follows another plan. Leave it out, or lay this plan on it first.`
    case 'standing/nothing-to-lay':
      return 'These classes have all of it already.'
  }
}

/** Why pieces are not laid, or not moved, and what to do. */
export function sayPlacingRefusal(r: PlacingRefusal): string {
  switch (r.code) {
    case 'placing/bad-stretch':
      return `Choose a first day and a last day after it, at most ${r.most} days apart.`
    case 'placing/not-by-days':
      return `“${r.title}” hangs on a lesson or goes by the hour. Open it to move it.`
    case 'placing/outside-year':
      return `${sayDay(r.on)} is not in the school year. Choose a day in it.`
    case 'placing/nothing-to-lay':
      return 'Choose a class or group, and a piece to lay.'
  }
}
