/** For those outside the use-cases who have to answer it. */
export { CannotWrite } from '#db/repositories'
