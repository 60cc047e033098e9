/** Colours are variables, so that light and dark are one set of class names. See global.css. */
const colour = (name) => `rgb(var(--${name}) / <alpha-value>)`;

module.exports = {
  content: ['./app/**/*.{ts,tsx}', './src/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
  darkMode: 'class',
  theme: {
    extend: {
      colors: {
        paper: colour('paper'),
        surface: colour('surface'),
        sunken: colour('sunken'),
        line: colour('line'),
        ink: colour('ink'),
        soft: colour('soft'),
        accent: colour('accent'),
        onaccent: colour('onaccent'),
        heat: colour('heat'),
        danger: colour('danger'),
        dangerwash: colour('dangerwash'),
        good: colour('good'),
      },
      fontFamily: { body: ['Body'], strong: ['BodyBold'], head: ['Head'], figure: ['Figure'] },
    },
  },
};
