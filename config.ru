# frozen_string_literal: true

require_relative 'config/environment'

# Nothing is loaded while requests are served.
Zeitwerk::Loader.eager_load_all

archive = Veranda::Store::Archive.new(Veranda::Store::Database.connect(Veranda::Environment.database_url),
                                      files: Veranda::Environment.files)
aside = Veranda::Aside::Pools.new
stage = Veranda::Stage::Studio.new(Veranda::Environment.stage)
hub = Veranda::Live::Hub.new(archive, aside: aside, stage: stage)

environment = Veranda::Environment
run Veranda::Http::App.build(archive: archive, hub: hub, aside: aside, secret: environment.session_secret, proxies: environment.proxies,
                             root: File.join(Veranda::ROOT, 'web/dist'), secure: environment.secure?)
