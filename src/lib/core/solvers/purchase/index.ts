export { purchaseOf, type PurchaseProblem, type PurchaseResult, type Way } from './problem';
export { DEFAULT_PURCHASE, solvePurchase, type PurchaseOptions } from './solve-purchase';
