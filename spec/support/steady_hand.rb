# frozen_string_literal: true

require 'capybara'
require 'capybara/selenium/driver'

# Presses nothing that moves: whoever reads a button presses where it was, and on a slow machine it has grown on from there by then.
# People see that, and wait.
module SteadyHand
  # Done once the box of an element, and all that it lies in, stand still from one picture to the next; after some seconds in any case.
  STILL = <<~JS
    const [element, done] = arguments;
    const until = performance.now() + 5000;
    const box = () => Object.values(element.getBoundingClientRect().toJSON()).join();
    const moves = () => document.getAnimations().some((each) => each.playState === 'running' && each.effect.target?.contains(element) &&
      each.effect.getComputedTiming().iterations !== Infinity);
    let before = null;
    const look = () => {
      const now = box();
      if ((now === before && !moves()) || performance.now() > until) return done();
      before = now;
      // Pages that nobody sees draw no pictures.
      document.hidden ? setTimeout(look, 16) : requestAnimationFrame(look);
    };
    look();
  JS

  def click(...)
    begin
      driver.evaluate_async_script(STILL, self)
    rescue Selenium::WebDriver::Error::JavascriptError, Selenium::WebDriver::Error::ScriptTimeoutError
      # The page is on its way to another: the press says what is wrong, if anything is.
    end
    super
  end
end

Capybara::Selenium::ChromeNode.prepend(SteadyHand)
