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
            '_route' => 'generated::mRAhNsX4XhazKLSU',
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
            '_route' => 'generated::CWtVePxBD8sqmze6',
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
            '_route' => 'generated::ofoGRRPkAJKWwcu7',
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
            '_route' => 'generated::sMs8KMyt6jcpgYVI',
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
            '_route' => 'generated::VEZeX0SoRDf9AmYV',
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
            '_route' => 'generated::GmN8Fk83SfQa6mqq',
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
            '_route' => 'generated::HUcb534X7tw8Fo7f',
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
            '_route' => 'generated::3IvapABdldhqJyjO',
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
            '_route' => 'generated::0jm1XjFwkW1kCp1V',
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
            '_route' => 'generated::gidm6ybtIAUO7LMJ',
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
            '_route' => 'generated::iIVMNyKeUfEP6T9N',
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
            '_route' => 'generated::6fiPnUdLnBsuC5AS',
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
            '_route' => 'generated::zfsBr5r92eLbOMqp',
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
            '_route' => 'generated::ul9PEGDSOQx0VUpR',
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
            '_route' => 'generated::rdZE247zl5DhNlnJ',
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
            '_route' => 'generated::qlgEUutm85AOuH7O',
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
            '_route' => 'generated::0FODMLTgxJ4ze1hQ',
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
            '_route' => 'generated::SXno92RrDSgff4yu',
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
            '_route' => 'generated::nfUQPfz2ixlrUsWf',
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
            '_route' => 'generated::g0IkxRQCpfj8HRba',
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
            '_route' => 'generated::TvLjwAogwZOj9xc1',
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
            '_route' => 'generated::QMlRiemGLqJ54uCO',
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
            '_route' => 'generated::b3plF4XesavZgURj',
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
            '_route' => 'generated::QHeF6M1INAVYgryL',
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
            '_route' => 'generated::nWsggIQV68HkjG01',
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
            '_route' => 'generated::r4le0oCIeDEGz0nz',
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
            '_route' => 'generated::ArkZHKBXvXFyTKO0',
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
            '_route' => 'generated::z55KSdsJILZuxmnR',
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
            '_route' => 'generated::x52djCcHhKG8A9dE',
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
            '_route' => 'generated::z0lJkGX3BYuq8ywr',
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
            '_route' => 'generated::7cnTgApihpoEJIml',
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
            '_route' => 'generated::dR3lim06MkOO8Qjb',
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
            '_route' => 'generated::L8bv2vGkxkS8LVDD',
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
            '_route' => 'generated::7TBIRop2i4vnBkdp',
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
    'generated::mRAhNsX4XhazKLSU' => 
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
        'as' => 'generated::mRAhNsX4XhazKLSU',
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
    'generated::CWtVePxBD8sqmze6' => 
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
        'as' => 'generated::CWtVePxBD8sqmze6',
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
    'generated::ofoGRRPkAJKWwcu7' => 
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
        'as' => 'generated::ofoGRRPkAJKWwcu7',
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
    'generated::sMs8KMyt6jcpgYVI' => 
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
        'as' => 'generated::sMs8KMyt6jcpgYVI',
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
    'generated::VEZeX0SoRDf9AmYV' => 
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
        'as' => 'generated::VEZeX0SoRDf9AmYV',
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
    'generated::GmN8Fk83SfQa6mqq' => 
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
        'as' => 'generated::GmN8Fk83SfQa6mqq',
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
    'generated::HUcb534X7tw8Fo7f' => 
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
        'as' => 'generated::HUcb534X7tw8Fo7f',
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
    'generated::3IvapABdldhqJyjO' => 
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
        'as' => 'generated::3IvapABdldhqJyjO',
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
    'generated::0jm1XjFwkW1kCp1V' => 
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
        'as' => 'generated::0jm1XjFwkW1kCp1V',
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
    'generated::SXno92RrDSgff4yu' => 
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
        'as' => 'generated::SXno92RrDSgff4yu',
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
    'generated::nfUQPfz2ixlrUsWf' => 
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
        'as' => 'generated::nfUQPfz2ixlrUsWf',
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
    'generated::g0IkxRQCpfj8HRba' => 
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
        'as' => 'generated::g0IkxRQCpfj8HRba',
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
    'generated::TvLjwAogwZOj9xc1' => 
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
        'as' => 'generated::TvLjwAogwZOj9xc1',
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
    'generated::QMlRiemGLqJ54uCO' => 
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
        'as' => 'generated::QMlRiemGLqJ54uCO',
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
    'generated::b3plF4XesavZgURj' => 
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
        'as' => 'generated::b3plF4XesavZgURj',
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
    'generated::QHeF6M1INAVYgryL' => 
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
        'as' => 'generated::QHeF6M1INAVYgryL',
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
    'generated::nWsggIQV68HkjG01' => 
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
        'as' => 'generated::nWsggIQV68HkjG01',
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
    'generated::r4le0oCIeDEGz0nz' => 
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
        'as' => 'generated::r4le0oCIeDEGz0nz',
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
    'generated::gidm6ybtIAUO7LMJ' => 
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
        'as' => 'generated::gidm6ybtIAUO7LMJ',
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
    'generated::iIVMNyKeUfEP6T9N' => 
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
        'as' => 'generated::iIVMNyKeUfEP6T9N',
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
    'generated::ArkZHKBXvXFyTKO0' => 
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
        'as' => 'generated::ArkZHKBXvXFyTKO0',
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
    'generated::6fiPnUdLnBsuC5AS' => 
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
        'as' => 'generated::6fiPnUdLnBsuC5AS',
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
    'generated::z55KSdsJILZuxmnR' => 
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
        'as' => 'generated::z55KSdsJILZuxmnR',
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
    'generated::x52djCcHhKG8A9dE' => 
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
        'as' => 'generated::x52djCcHhKG8A9dE',
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
    'generated::zfsBr5r92eLbOMqp' => 
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
        'as' => 'generated::zfsBr5r92eLbOMqp',
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
    'generated::ul9PEGDSOQx0VUpR' => 
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
        'as' => 'generated::ul9PEGDSOQx0VUpR',
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
    'generated::qlgEUutm85AOuH7O' => 
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
        'as' => 'generated::qlgEUutm85AOuH7O',
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
    'generated::rdZE247zl5DhNlnJ' => 
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
        'as' => 'generated::rdZE247zl5DhNlnJ',
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
    'generated::0FODMLTgxJ4ze1hQ' => 
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
        'as' => 'generated::0FODMLTgxJ4ze1hQ',
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
    'generated::z0lJkGX3BYuq8ywr' => 
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
        'as' => 'generated::z0lJkGX3BYuq8ywr',
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
    'generated::7cnTgApihpoEJIml' => 
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
        'as' => 'generated::7cnTgApihpoEJIml',
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
    'generated::dR3lim06MkOO8Qjb' => 
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
        'as' => 'generated::dR3lim06MkOO8Qjb',
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
    'generated::L8bv2vGkxkS8LVDD' => 
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
        'as' => 'generated::L8bv2vGkxkS8LVDD',
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
    'generated::7TBIRop2i4vnBkdp' => 
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
        'as' => 'generated::7TBIRop2i4vnBkdp',
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
