# frozen_string_literal: true

require 'selenium-webdriver'

module Bench
  # A browser with nothing in its cache, signed in.
  module Browser
    FLAGS = %w[--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
               --disable-component-update --disable-sync --window-size=1280,800].freeze

    module_function

    # @param address [String] of the server
    # @param cookie [String] `name=value`
    # @return [Selenium::WebDriver::Driver]
    def open(address, cookie)
      options = Selenium::WebDriver::Chrome::Options.new(binary: '/usr/bin/chromium', args: FLAGS)
      service = Selenium::WebDriver::Service.chrome(path: '/usr/bin/chromedriver')
      Selenium::WebDriver.for(:chrome, options: options, service: service).tap do |driver|
        name, value = cookie.split('=', 2)
        driver.execute_cdp('Network.setCookie', name: name, value: value, url: address)
      end
    end
  end
end
