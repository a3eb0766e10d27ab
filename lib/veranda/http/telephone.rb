# frozen_string_literal: true

module Veranda
  module Http
    # For whatever stands between us and the telephone, and for nobody else: it knows a secret of this installation.
    class Telephone < Resource
      CODE = Core::Contract.define { required(:code).filled(:string, max_size?: 40) }

      post '/api/telephone' do
        telephone = hub.stage.by_telephone(archive)
        unless telephone&.knows?(request.get_header('HTTP_X_TELEPHONE'))
          raise Core::Refusal.new(:no_access, 'Calls are put through by the telephone alone.')
        end

        came = telephone.call(Core::Contract.check(CODE, input)[:code])
        visitor.enter_as(came[:person])
        status 201
        json(sitting: came[:sitting])
      end
    end
  end
end
