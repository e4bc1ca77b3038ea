<?php

app('router')->setCompiledRoutes(
    array (
  'compiled' => 
  array (
    0 => false,
    1 => 
    array (
      '/up' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::WzSrYLTIcaifbSEo',
          ),
          1 => NULL,
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/first-start' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::yZJWxwnUK3OSVQLD',
          ),
          1 => NULL,
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
        1 => 
        array (
          0 => 
          array (
            '_route' => 'generated::sRfgtmHM1fGqqsYn',
          ),
          1 => NULL,
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/sign-in' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'login',
          ),
          1 => NULL,
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
        1 => 
        array (
          0 => 
          array (
            '_route' => 'generated::Mtnmml7D02BEhNPm',
          ),
          1 => NULL,
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::7wMrbTdM5bEeI5Z3',
          ),
          1 => NULL,
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/sign-out' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::tdIbUrq99ofYI7EU',
          ),
          1 => NULL,
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/units' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::d18hhiYiS8zuIri0',
          ),
          1 => NULL,
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/jobs/new' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::xMBPWpErVX1zvEuj',
          ),
          1 => NULL,
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/jobs' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::Lce4pYCEhrgbDiho',
          ),
          1 => NULL,
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/stores' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::c8PXJcOPO7CZXFB8',
          ),
          1 => NULL,
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/stores/products' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::qg7zpkjZkwW2Vggw',
          ),
          1 => NULL,
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/stores/containers' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::hAbcq5xldJWp0Xxm',
          ),
          1 => NULL,
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/records' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::a4hbkyW8qUtVfH9g',
          ),
          1 => NULL,
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/circuits' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::HE2N2GGIucRk7eQ4',
          ),
          1 => NULL,
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
        1 => 
        array (
          0 => 
          array (
            '_route' => 'generated::PqcjM9p7VxUJV4RL',
          ),
          1 => NULL,
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/circuits/new' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::82X1gyOoNP1EQAlR',
          ),
          1 => NULL,
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      '/circuits/preview' => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::sv5wiGKUvq0rtANs',
          ),
          1 => NULL,
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
    ),
    2 => 
    array (
      0 => '{^(?|/jobs/(?|([0-9]{1,9})(*:28)|([0-9]{1,9})/entries(*:55)|([0-9]{1,9})/cautions(*:83)|([0-9]{1,9})/finish(*:109)|([0-9]{1,9})/entries/([0-9]{1,9})(?|(*:153))|([0-9]{1,9})/photos(*:181)|([0-9]{1,9})/record(*:208))|/photos/([0-9]{1,9})(?:/(small))?(*:250)|/stor(?|es/(?|products/([0-9]{1,9})(*:293)|containers/([0-9]{1,9})(*:324))|age/(.*)(?|(*:344)))|/bench(?:/([^/]++))?(*:374)|/circuits/(?|([0-9]{1,9})(*:407)|([0-9]{1,9})/edit(*:432)|([0-9]{1,9})(*:452)|([0-9]{1,9})/export(*:479)|([0-9]{1,9})/elevation\\.svg(*:514)))/?$}sDu',
    ),
    3 => 
    array (
      28 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::peywIaliZUtFU52D',
          ),
          1 => 
          array (
            0 => 'job',
          ),
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => true,
          6 => NULL,
        ),
      ),
      55 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::nY5E2W0vy7F1IrMy',
          ),
          1 => 
          array (
            0 => 'job',
          ),
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      83 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::NjpvhLL1kqLfQZfs',
          ),
          1 => 
          array (
            0 => 'job',
          ),
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      109 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::fK6dNKX8aS9SOnZ9',
          ),
          1 => 
          array (
            0 => 'job',
          ),
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      153 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::mwqf3qQZgGJFF3We',
          ),
          1 => 
          array (
            0 => 'job',
            1 => 'seq',
          ),
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => true,
          6 => NULL,
        ),
        1 => 
        array (
          0 => 
          array (
            '_route' => 'generated::pZSfbgM8j3YFwqO8',
          ),
          1 => 
          array (
            0 => 'job',
            1 => 'seq',
          ),
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => true,
          6 => NULL,
        ),
      ),
      181 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::Dl3pWwGh1Ddo3TwI',
          ),
          1 => 
          array (
            0 => 'job',
          ),
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      208 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::RwNDoVb1FSYECaqX',
          ),
          1 => 
          array (
            0 => 'job',
          ),
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      250 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::eEOBL0xR8ZTf9p7s',
            'size' => NULL,
          ),
          1 => 
          array (
            0 => 'photo',
            1 => 'size',
          ),
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => true,
          6 => NULL,
        ),
      ),
      293 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::2PGzYxYUFP9mYeNo',
          ),
          1 => 
          array (
            0 => 'product',
          ),
          2 => 
          array (
            'DELETE' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => true,
          6 => NULL,
        ),
      ),
      324 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::9ZtLoBK8eFTmR8Uy',
          ),
          1 => 
          array (
            0 => 'container',
          ),
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => true,
          6 => NULL,
        ),
      ),
      344 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'storage.local',
          ),
          1 => 
          array (
            0 => 'path',
          ),
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => true,
          6 => NULL,
        ),
        1 => 
        array (
          0 => 
          array (
            '_route' => 'storage.local.upload',
          ),
          1 => 
          array (
            0 => 'path',
          ),
          2 => 
          array (
            'PUT' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => true,
          6 => NULL,
        ),
      ),
      374 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::JHMoMM0EZELEtfWl',
            'name' => NULL,
          ),
          1 => 
          array (
            0 => 'name',
          ),
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => true,
          6 => NULL,
        ),
      ),
      407 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::LUI447Rddx2o6bif',
          ),
          1 => 
          array (
            0 => 'circuit',
          ),
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => true,
          6 => NULL,
        ),
      ),
      432 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::QejuTXM6iN4qPkx4',
          ),
          1 => 
          array (
            0 => 'circuit',
          ),
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      452 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::04dJz6pZiZE0WBmt',
          ),
          1 => 
          array (
            0 => 'circuit',
          ),
          2 => 
          array (
            'POST' => 0,
          ),
          3 => NULL,
          4 => false,
          5 => true,
          6 => NULL,
        ),
      ),
      479 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::QzdPev0I7Fc63Ic9',
          ),
          1 => 
          array (
            0 => 'circuit',
          ),
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
      ),
      514 => 
      array (
        0 => 
        array (
          0 => 
          array (
            '_route' => 'generated::HHEu6XMWWAde0XIU',
          ),
          1 => 
          array (
            0 => 'circuit',
          ),
          2 => 
          array (
            'GET' => 0,
            'HEAD' => 1,
          ),
          3 => NULL,
          4 => false,
          5 => false,
          6 => NULL,
        ),
        1 => 
        array (
          0 => NULL,
          1 => NULL,
          2 => NULL,
          3 => NULL,
          4 => false,
          5 => false,
          6 => 0,
        ),
      ),
    ),
    4 => NULL,
  ),
  'attributes' => 
  array (
    'generated::WzSrYLTIcaifbSEo' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'up',
      'action' => 
      array (
        'uses' => 'O:55:"Laravel\\SerializableClosure\\UnsignedSerializableClosure":1:{s:12:"serializable";O:46:"Laravel\\SerializableClosure\\Serializers\\Native":5:{s:3:"use";a:0:{}s:8:"function";s:804:"function () {
                    $exception = null;

                    try {
                        \\Illuminate\\Support\\Facades\\Event::dispatch(new \\Illuminate\\Foundation\\Events\\DiagnosingHealth);
                    } catch (\\Throwable $e) {
                        if (app()->hasDebugModeEnabled()) {
                            throw $e;
                        }

                        report($e);

                        $exception = $e->getMessage();
                    }

                    return response(\\Illuminate\\Support\\Facades\\View::file(\'/work/main/vendor/laravel/framework/src/Illuminate/Foundation/Configuration\'.\'/../resources/health-up.blade.php\', [
                        \'exception\' => $exception,
                    ]), status: $exception ? 500 : 200);
                }";s:5:"scope";s:54:"Illuminate\\Foundation\\Configuration\\ApplicationBuilder";s:4:"this";N;s:4:"self";s:32:"00000000000005260000000000000000";}}',
        'as' => 'generated::WzSrYLTIcaifbSEo',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::yZJWxwnUK3OSVQLD' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'first-start',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
        ),
        'uses' => 'App\\Http\\Controllers\\FirstStartController@create',
        'controller' => 'App\\Http\\Controllers\\FirstStartController@create',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::yZJWxwnUK3OSVQLD',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::sRfgtmHM1fGqqsYn' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'first-start',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
        ),
        'uses' => 'App\\Http\\Controllers\\FirstStartController@store',
        'controller' => 'App\\Http\\Controllers\\FirstStartController@store',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::sRfgtmHM1fGqqsYn',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'login' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'sign-in',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'guest',
        ),
        'uses' => 'App\\Http\\Controllers\\SignInController@create',
        'controller' => 'App\\Http\\Controllers\\SignInController@create',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'login',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::Mtnmml7D02BEhNPm' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'sign-in',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'guest',
          2 => 'throttle:sign-in',
        ),
        'uses' => 'App\\Http\\Controllers\\SignInController@store',
        'controller' => 'App\\Http\\Controllers\\SignInController@store',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::Mtnmml7D02BEhNPm',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::7wMrbTdM5bEeI5Z3' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => '/',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\FloorController@__invoke',
        'controller' => 'App\\Http\\Controllers\\FloorController',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::7wMrbTdM5bEeI5Z3',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::tdIbUrq99ofYI7EU' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'sign-out',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\SignInController@destroy',
        'controller' => 'App\\Http\\Controllers\\SignInController@destroy',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::tdIbUrq99ofYI7EU',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::d18hhiYiS8zuIri0' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'units',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\UnitsController@__invoke',
        'controller' => 'App\\Http\\Controllers\\UnitsController',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::d18hhiYiS8zuIri0',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::xMBPWpErVX1zvEuj' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'jobs/new',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\PlanController@create',
        'controller' => 'App\\Http\\Controllers\\PlanController@create',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::xMBPWpErVX1zvEuj',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::Lce4pYCEhrgbDiho' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'jobs',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\PlanController@store',
        'controller' => 'App\\Http\\Controllers\\PlanController@store',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::Lce4pYCEhrgbDiho',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::peywIaliZUtFU52D' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'jobs/{job}',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\RunController@show',
        'controller' => 'App\\Http\\Controllers\\RunController@show',
        'namespace' => NULL,
        'prefix' => '/jobs/{job}',
        'where' => 
        array (
        ),
        'as' => 'generated::peywIaliZUtFU52D',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::nY5E2W0vy7F1IrMy' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'jobs/{job}/entries',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\RunController@record',
        'controller' => 'App\\Http\\Controllers\\RunController@record',
        'namespace' => NULL,
        'prefix' => '/jobs/{job}',
        'where' => 
        array (
        ),
        'as' => 'generated::nY5E2W0vy7F1IrMy',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::NjpvhLL1kqLfQZfs' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'jobs/{job}/cautions',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\RunController@acknowledge',
        'controller' => 'App\\Http\\Controllers\\RunController@acknowledge',
        'namespace' => NULL,
        'prefix' => '/jobs/{job}',
        'where' => 
        array (
        ),
        'as' => 'generated::NjpvhLL1kqLfQZfs',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::fK6dNKX8aS9SOnZ9' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'jobs/{job}/finish',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\RunController@finish',
        'controller' => 'App\\Http\\Controllers\\RunController@finish',
        'namespace' => NULL,
        'prefix' => '/jobs/{job}',
        'where' => 
        array (
        ),
        'as' => 'generated::fK6dNKX8aS9SOnZ9',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::mwqf3qQZgGJFF3We' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'jobs/{job}/entries/{seq}',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\RunController@edit',
        'controller' => 'App\\Http\\Controllers\\RunController@edit',
        'namespace' => NULL,
        'prefix' => '/jobs/{job}',
        'where' => 
        array (
        ),
        'as' => 'generated::mwqf3qQZgGJFF3We',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::pZSfbgM8j3YFwqO8' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'jobs/{job}/entries/{seq}',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\RunController@correct',
        'controller' => 'App\\Http\\Controllers\\RunController@correct',
        'namespace' => NULL,
        'prefix' => '/jobs/{job}',
        'where' => 
        array (
        ),
        'as' => 'generated::pZSfbgM8j3YFwqO8',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::Dl3pWwGh1Ddo3TwI' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'jobs/{job}/photos',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\PhotoController@store',
        'controller' => 'App\\Http\\Controllers\\PhotoController@store',
        'namespace' => NULL,
        'prefix' => '/jobs/{job}',
        'where' => 
        array (
        ),
        'as' => 'generated::Dl3pWwGh1Ddo3TwI',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::RwNDoVb1FSYECaqX' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'jobs/{job}/record',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\RecordController@show',
        'controller' => 'App\\Http\\Controllers\\RecordController@show',
        'namespace' => NULL,
        'prefix' => '/jobs/{job}',
        'where' => 
        array (
        ),
        'as' => 'generated::RwNDoVb1FSYECaqX',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::eEOBL0xR8ZTf9p7s' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'photos/{photo}/{size?}',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\PhotoController@show',
        'controller' => 'App\\Http\\Controllers\\PhotoController@show',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::eEOBL0xR8ZTf9p7s',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
        'size' => 'small',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::c8PXJcOPO7CZXFB8' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'stores',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\StoresController@index',
        'controller' => 'App\\Http\\Controllers\\StoresController@index',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::c8PXJcOPO7CZXFB8',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::qg7zpkjZkwW2Vggw' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'stores/products',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\StoresController@storeProduct',
        'controller' => 'App\\Http\\Controllers\\StoresController@storeProduct',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::qg7zpkjZkwW2Vggw',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::2PGzYxYUFP9mYeNo' => 
    array (
      'methods' => 
      array (
        0 => 'DELETE',
      ),
      'uri' => 'stores/products/{product}',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\StoresController@removeProduct',
        'controller' => 'App\\Http\\Controllers\\StoresController@removeProduct',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::2PGzYxYUFP9mYeNo',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::hAbcq5xldJWp0Xxm' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'stores/containers',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\StoresController@storeContainer',
        'controller' => 'App\\Http\\Controllers\\StoresController@storeContainer',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::hAbcq5xldJWp0Xxm',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::9ZtLoBK8eFTmR8Uy' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'stores/containers/{container}',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\StoresController@count',
        'controller' => 'App\\Http\\Controllers\\StoresController@count',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::9ZtLoBK8eFTmR8Uy',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::JHMoMM0EZELEtfWl' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'bench/{name?}',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\CalculatorController@__invoke',
        'controller' => 'App\\Http\\Controllers\\CalculatorController',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::JHMoMM0EZELEtfWl',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::a4hbkyW8qUtVfH9g' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'records',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\RecordController@index',
        'controller' => 'App\\Http\\Controllers\\RecordController@index',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::a4hbkyW8qUtVfH9g',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::HE2N2GGIucRk7eQ4' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'circuits',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\CircuitController@index',
        'controller' => 'App\\Http\\Controllers\\CircuitController@index',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::HE2N2GGIucRk7eQ4',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::82X1gyOoNP1EQAlR' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'circuits/new',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\CircuitController@create',
        'controller' => 'App\\Http\\Controllers\\CircuitController@create',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::82X1gyOoNP1EQAlR',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::PqcjM9p7VxUJV4RL' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'circuits',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\CircuitController@store',
        'controller' => 'App\\Http\\Controllers\\CircuitController@store',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::PqcjM9p7VxUJV4RL',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::sv5wiGKUvq0rtANs' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'circuits/preview',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\CircuitController@preview',
        'controller' => 'App\\Http\\Controllers\\CircuitController@preview',
        'namespace' => NULL,
        'prefix' => '',
        'where' => 
        array (
        ),
        'as' => 'generated::sv5wiGKUvq0rtANs',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::LUI447Rddx2o6bif' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'circuits/{circuit}',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\CircuitController@show',
        'controller' => 'App\\Http\\Controllers\\CircuitController@show',
        'namespace' => NULL,
        'prefix' => '/circuits/{circuit}',
        'where' => 
        array (
        ),
        'as' => 'generated::LUI447Rddx2o6bif',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::QejuTXM6iN4qPkx4' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'circuits/{circuit}/edit',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\CircuitController@edit',
        'controller' => 'App\\Http\\Controllers\\CircuitController@edit',
        'namespace' => NULL,
        'prefix' => '/circuits/{circuit}',
        'where' => 
        array (
        ),
        'as' => 'generated::QejuTXM6iN4qPkx4',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::04dJz6pZiZE0WBmt' => 
    array (
      'methods' => 
      array (
        0 => 'POST',
      ),
      'uri' => 'circuits/{circuit}',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\CircuitController@store',
        'controller' => 'App\\Http\\Controllers\\CircuitController@store',
        'namespace' => NULL,
        'prefix' => '/circuits/{circuit}',
        'where' => 
        array (
        ),
        'as' => 'generated::04dJz6pZiZE0WBmt',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::QzdPev0I7Fc63Ic9' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'circuits/{circuit}/export',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\CircuitController@export',
        'controller' => 'App\\Http\\Controllers\\CircuitController@export',
        'namespace' => NULL,
        'prefix' => '/circuits/{circuit}',
        'where' => 
        array (
        ),
        'as' => 'generated::QzdPev0I7Fc63Ic9',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'generated::HHEu6XMWWAde0XIU' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'circuits/{circuit}/elevation.svg',
      'action' => 
      array (
        'middleware' => 
        array (
          0 => 'web',
          1 => 'auth',
        ),
        'uses' => 'App\\Http\\Controllers\\CircuitController@svg',
        'controller' => 'App\\Http\\Controllers\\CircuitController@svg',
        'namespace' => NULL,
        'prefix' => '/circuits/{circuit}',
        'where' => 
        array (
        ),
        'as' => 'generated::HHEu6XMWWAde0XIU',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'storage.local' => 
    array (
      'methods' => 
      array (
        0 => 'GET',
        1 => 'HEAD',
      ),
      'uri' => 'storage/{path}',
      'action' => 
      array (
        'uses' => 'O:55:"Laravel\\SerializableClosure\\UnsignedSerializableClosure":1:{s:12:"serializable";O:46:"Laravel\\SerializableClosure\\Serializers\\Native":5:{s:3:"use";a:3:{s:4:"disk";s:5:"local";s:6:"config";a:5:{s:6:"driver";s:5:"local";s:4:"root";s:30:"/work/main/storage/app/private";s:5:"serve";b:1;s:5:"throw";b:0;s:6:"report";b:0;}s:12:"isProduction";b:1;}s:8:"function";s:323:"function (\\Illuminate\\Http\\Request $request, string $path) use ($disk, $config, $isProduction) {
                    return (new \\Illuminate\\Filesystem\\ServeFile(
                        $disk,
                        $config,
                        $isProduction
                    ))($request, $path);
                }";s:5:"scope";s:47:"Illuminate\\Filesystem\\FilesystemServiceProvider";s:4:"this";N;s:4:"self";s:32:"000000000000052c0000000000000000";}}',
        'as' => 'storage.local',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
        'path' => '.*',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
    'storage.local.upload' => 
    array (
      'methods' => 
      array (
        0 => 'PUT',
      ),
      'uri' => 'storage/{path}',
      'action' => 
      array (
        'uses' => 'O:55:"Laravel\\SerializableClosure\\UnsignedSerializableClosure":1:{s:12:"serializable";O:46:"Laravel\\SerializableClosure\\Serializers\\Native":5:{s:3:"use";a:3:{s:4:"disk";s:5:"local";s:6:"config";a:5:{s:6:"driver";s:5:"local";s:4:"root";s:30:"/work/main/storage/app/private";s:5:"serve";b:1;s:5:"throw";b:0;s:6:"report";b:0;}s:12:"isProduction";b:1;}s:8:"function";s:325:"function (\\Illuminate\\Http\\Request $request, string $path) use ($disk, $config, $isProduction) {
                    return (new \\Illuminate\\Filesystem\\ReceiveFile(
                        $disk,
                        $config,
                        $isProduction
                    ))($request, $path);
                }";s:5:"scope";s:47:"Illuminate\\Filesystem\\FilesystemServiceProvider";s:4:"this";N;s:4:"self";s:32:"00000000000005300000000000000000";}}',
        'as' => 'storage.local.upload',
      ),
      'fallback' => false,
      'defaults' => 
      array (
      ),
      'wheres' => 
      array (
        'seq' => '[0-9]{1,9}',
        'job' => '[0-9]{1,9}',
        'circuit' => '[0-9]{1,9}',
        'product' => '[0-9]{1,9}',
        'container' => '[0-9]{1,9}',
        'photo' => '[0-9]{1,9}',
        'path' => '.*',
      ),
      'bindingFields' => 
      array (
      ),
      'lockSeconds' => NULL,
      'waitSeconds' => NULL,
      'withTrashed' => false,
    ),
  ),
)
);
