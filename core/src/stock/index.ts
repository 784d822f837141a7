export { belowCorner, type Blank, blankFor, type BlankWish, lengthFindings } from './blank.js';
export { isBlankOf } from './blankOf.js';
export {
  BLANK_FORMS,
  type BlankForm,
  type Board,
  CONSUMABLE_KINDS,
  CONSUMABLE_UNITS,
  type ConsumableKind,
  type ConsumableUnit,
  type Log,
  type NewStockItem,
  pieceSizeOf,
  type Rod,
  STOCK_KINDS,
  type StockItem,
  volumeOf,
  type WoodStock,
  type Zone,
} from './stockItem.js';
export { parsePrice, type Price, PRICE_UNITS, priceText, type PriceUnit } from './price.js';
export { worthOf } from './worth.js';
export { solverOf } from './linear.js';
export {
  blankVolume,
  type CutDemand,
  type CutInput,
  type CutStock,
  SAW_ORDERS,
  type SawOrder,
  stockVolume,
  studyKey,
  tenths,
  isRound,
} from './cutting/cutInput.js';
export type { BoardCut } from './cutting/boardCut.js';
export { type CutPlan, studyCutting, type StudyProgress } from './cutting/study.js';
export { blankCosts } from './cutting/blankCosts.js';
export { cutFindings, layoutProblems } from './cutting/cutFindings.js';
export { sawListOf, type SawSetting } from './cutting/sawList.js';
export { cutStockOf, rejectRate, withSpare } from './cutting/fromStock.js';
export {
  type Balance,
  balanceOf,
  costOf,
  HAND_MOVES,
  type HandMove,
  type Holding,
  holdingsOf,
  LEDGER_KINDS,
  type LedgerCosts,
  type LedgerKind,
  takeProblem,
} from './ledger/ledger.js';
export { expiryFindings, type Kept, reorderFindings } from './ledger/reorder.js';
export { bookCut } from './ledger/bookCut.js';
export type { Point } from './log/section.js';
export {
  type BilletWish,
  type Bolt,
  BILLET_FORMS,
  type BilletForm,
  logFindings,
  type LogPlan,
  logPlan,
  type LogWay,
  mostBillets,
} from './log/logPlan.js';
export { type AcrossReading, greenDiameter, type Oval, ovalFrom, ovalOf } from './drying/oval.js';
export {
  cleanCylinder,
  type CleanCylinder,
  type ReachStation,
  sectionCorners,
} from './drying/cleanCylinder.js';
export {
  dayAfter,
  daysBetween,
  type DryingForecast,
  moistureOn,
  weighingProblems,
} from './drying/dryingCurve.js';
export {
  DRYING_SCHOOLS,
  dryingFindings,
  type DryingSchool,
  dryingVerdict,
  schoolDays,
} from './drying/shelf.js';
export { stockProblems } from './stockProblems.js';
export { type DryingBundle, forecastOf } from './drying/bundle.js';
export { cutFigures } from './cutting/cutFigures.js';
export { airFigure, dryingFigures, humidityFigure } from './drying/dryingFigures.js';
