# shellcheck shell=bash
# Gems, in vendor/ beside the project.
install_gems() {
  bundle config set --local path vendor >/dev/null 2>&1
  # Debian's own library for XML is kept safe by Debian, and need not be built for minutes.
  bundle config set --local build.nokogiri --use-system-libraries >/dev/null 2>&1
  bundle check >/dev/null 2>&1 && return 0
  say "Installing gems (a few minutes on a new machine)"
  MAKEFLAGS=-j2 bundle install --jobs 2 --quiet || fail "Gems could not be installed. Check the network and start again."
}
