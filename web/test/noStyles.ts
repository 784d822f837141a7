/** Stands in for style sheets, which a page without a browser does not draw. */
export default {};
