export * from './marks.js';
export * from './allowance.js';
export { edgeOf, flipped, heightAt, edgePoints, type Edge, type Piece } from './edge.js';
export { offsetAbove } from './offset.js';
export * from './template.js';
export * from './ball.js';
