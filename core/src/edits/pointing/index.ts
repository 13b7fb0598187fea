export { offeredBetween, putInto, type Spliced, takeOut } from './between';
export {
  connectBy,
  freshName,
  type Join,
  type Joining,
  joinings,
  type Offered,
  offeredBeside,
} from './joins';
