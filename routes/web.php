<?php

declare(strict_types=1);

use App\Http\Controllers\AdditionController;
use App\Http\Controllers\AuditController;
use App\Http\Controllers\CalculatorController;
use App\Http\Controllers\CalendarController;
use App\Http\Controllers\CircuitController;
use App\Http\Controllers\CircuitImportController;
use App\Http\Controllers\ClockController;
use App\Http\Controllers\ConnectController;
use App\Http\Controllers\DayController;
use App\Http\Controllers\FeedController;
use App\Http\Controllers\FirstStartController;
use App\Http\Controllers\FloorController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\HowSureController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\LabourController;
use App\Http\Controllers\LearnedController;
use App\Http\Controllers\LoggerController;
use App\Http\Controllers\MakerController;
use App\Http\Controllers\MeasuredController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PhotoController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PracticeController;
use App\Http\Controllers\RatesController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\RulesController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\SeriesController;
use App\Http\Controllers\ShopController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\StoresController;
use App\Http\Controllers\TabletController;
use App\Http\Controllers\TemplateController;
use App\Http\Controllers\UnitsController;
use App\Http\Controllers\VehicleController;
use App\Http\Controllers\VisitController;
use App\Http\Controllers\WorkerController;
use App\Models\Vehicle;
use Illuminate\Support\Facades\Route;

// More digits than any number here has are no number.
Route::pattern('job', '[Jj]?[0-9]{1,9}');
Route::patterns(
    array_fill_keys(
        [
            'seq',
            'circuit',
            'product',
            'container',
            'vehicle',
            'person',
            'template',
            'signIn',
            'tablet',
            'visit',
            'feed',
        ],
        '[0-9]{1,9}',
    ),
);

Route::get('/worker.js', WorkerController::class)->withoutMiddleware('web');
Route::get('/health', HealthController::class)->withoutMiddleware('web');

// Asked for by other programs, which have no session: whoever has the address may.
Route::get('/calendar/{secret}.ics', [CalendarController::class, 'feed'])
    ->where('secret', '[A-Za-z0-9]{40}')
    ->withoutMiddleware('web')
    ->middleware('throttle:60,1');

Route::post('/feeds/{token}', [FeedController::class, 'take'])
    ->where('token', '[A-Za-z0-9]{10,64}')
    ->withoutMiddleware('web');

Route::get('/first-start', [FirstStartController::class, 'create']);
Route::post('/first-start', [FirstStartController::class, 'store']);

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'create'])->name('login');
    Route::post('/sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in');
    Route::post('/sign-in/pin', [SignInController::class, 'pin'])->middleware('throttle:sign-in');
});

Route::middleware('auth')->group(function (): void {
    Route::get('/', FloorController::class);
    Route::view('/outbox', 'outbox');
    Route::post('/sign-out', [SignInController::class, 'destroy']);
    Route::post('/units', UnitsController::class);
    Route::post('/clock', ClockController::class);
    Route::get('/password', [PasswordController::class, 'edit']);
    Route::post('/password', [PasswordController::class, 'update']);
    Route::post('/password/pin', [PasswordController::class, 'pin']);
    Route::get('/people', [PeopleController::class, 'index']);
    Route::post('/people', [PeopleController::class, 'store']);
    Route::post('/people/{person}', [PeopleController::class, 'update']);
    Route::post('/sign-ins/{signIn}/end', [PeopleController::class, 'end']);
    Route::post('/tablets', [TabletController::class, 'store']);
    Route::post('/tablets/{tablet}/end', [TabletController::class, 'end']);

    Route::get('/shop', [ShopController::class, 'show']);
    Route::post('/shop', [ShopController::class, 'update']);
    Route::post('/shop/vessels', [ShopController::class, 'vessels']);
    Route::get('/shop/rules', [RulesController::class, 'index']);
    Route::post('/shop/rules', [RulesController::class, 'update']);
    Route::get('/shop/labour', [LabourController::class, 'index']);
    Route::post('/shop/labour', [LabourController::class, 'update']);
    Route::post('/shop/rights', [RulesController::class, 'rights']);
    Route::post('/templates', [TemplateController::class, 'store']);
    Route::delete('/templates/{template}', [TemplateController::class, 'destroy']);
    Route::get('/shop/changes', AuditController::class);
    Route::get('/shop/connect', ConnectController::class);

    Route::get('/jobs/new', [PlanController::class, 'create']);
    Route::post('/jobs', [PlanController::class, 'store']);

    Route::prefix('/jobs/{job}')->group(function (): void {
        Route::get('/', [RunController::class, 'show']);
        Route::post('/entries', [RunController::class, 'record']);
        Route::post('/late', [RunController::class, 'late']);
        Route::post('/cautions', [RunController::class, 'acknowledge']);
        Route::post('/sheet', [RunController::class, 'sheet']);
        Route::post('/finish', [RunController::class, 'finish']);
        Route::get('/entries/{seq}', [RunController::class, 'edit']);
        Route::post('/entries/{seq}', [RunController::class, 'correct']);
        Route::get('/manage', [JobController::class, 'show']);
        Route::post('/hand-over', [JobController::class, 'handOver']);
        Route::post('/another-way', [JobController::class, 'anotherWay']);
        Route::post('/rest', [JobController::class, 'rest']);
        Route::post('/merge', [JobController::class, 'merge']);
        Route::post('/abandon', [JobController::class, 'abandon']);
        Route::post('/photos', [PhotoController::class, 'store']);
        Route::get('/record', [RecordController::class, 'show']);
        Route::get('/record.pdf', [RecordController::class, 'pdf']);
        Route::get('/hand-over.pdf', [RecordController::class, 'handOver']);
        Route::get('/label.pdf', [RecordController::class, 'label']);
        Route::get('/job.json', [RecordController::class, 'json']);
        Route::get('/readings.csv', [RecordController::class, 'readings']);
        Route::post('/feeds', [FeedController::class, 'open']);
        Route::get('/logger', [LoggerController::class, 'away']);
        Route::post('/logger', [LoggerController::class, 'show']);
        Route::post('/logger/keep', [LoggerController::class, 'keep']);
        Route::get('/series', [SeriesController::class, 'show']);
        Route::get('/scale', [SeriesController::class, 'scale']);
        Route::get('/visits', [VisitController::class, 'show']);
        Route::post('/visits', [VisitController::class, 'store']);
        Route::post('/visits/ask', [VisitController::class, 'ask']);
        Route::get('/how-sure', [HowSureController::class, 'show']);
        Route::get('/practice', [PracticeController::class, 'result']);
        Route::post('/practice/clock', [PracticeController::class, 'clock']);
        Route::post('/practice/end', [PracticeController::class, 'end']);
    });

    Route::get('/practice', [PracticeController::class, 'index']);
    Route::post('/practice/{exercise}', [PracticeController::class, 'store'])->where('exercise', '[a-z-]{1,40}');

    Route::get('/day', [DayController::class, 'show']);
    Route::post('/day/{job}', [DayController::class, 'move']);
    Route::get('/feeds/{feed}/stand-in', [SeriesController::class, 'standIn']);
    Route::post('/feeds/{feed}/end', [FeedController::class, 'end']);
    Route::post('/feeds/{feed}/outlet', [FeedController::class, 'walk']);
    Route::get('/visits', [VisitController::class, 'index']);
    Route::get('/visits/{visit}.ics', [VisitController::class, 'ics']);
    Route::post('/visits/{visit}/correct', [VisitController::class, 'correct']);
    Route::post('/visits/{visit}/skip', [VisitController::class, 'skip']);
    Route::post('/visits/{visit}/hand-over', [VisitController::class, 'handOver']);
    Route::post('/calendar', [CalendarController::class, 'mine']);
    Route::post('/shop/calendar', [CalendarController::class, 'shops']);

    Route::get('/vehicles', [VehicleController::class, 'index']);
    Route::get('/vehicles/vehicles.csv', [VehicleController::class, 'export']);
    Route::post('/vehicles/import', [VehicleController::class, 'import']);
    Route::get('/vehicles/new', [VehicleController::class, 'create']);
    Route::post('/vehicles', [VehicleController::class, 'store']);
    Route::get('/vehicles/{vehicle}', [VehicleController::class, 'show']);
    Route::get('/vehicles/{vehicle}/edit', [VehicleController::class, 'edit']);
    Route::post('/vehicles/{vehicle}', [VehicleController::class, 'update']);
    Route::post('/vehicles/{vehicle}/retire', [VehicleController::class, 'retire']);

    Route::get('/photos/{photo}/{size?}', [PhotoController::class, 'show'])->where('size', 'small');
    Route::get('/stores', [StoresController::class, 'index']);
    Route::post('/stores/products', [StoresController::class, 'storeProduct']);
    Route::delete('/stores/products/{product}', [StoresController::class, 'removeProduct']);
    Route::post('/stores/containers', [StoresController::class, 'storeContainer']);
    Route::get('/stores/containers/{container}', [StoresController::class, 'container']);
    Route::post('/stores/containers/{container}', [StoresController::class, 'count']);
    Route::post('/stores/containers/{container}/out', [StoresController::class, 'out']);
    Route::get('/bench/{name?}', CalculatorController::class);
    Route::get('/records', [RecordController::class, 'index']);
    Route::get('/records/predictions', [RecordController::class, 'howWell']);
    Route::post('/records/predictions', [RatesController::class, 'take']);
    Route::post('/records/import', [RecordController::class, 'import']);
    Route::get('/records/{table}.csv', [RecordController::class, 'table'])->where('table', 'jobs|visits|stock|waste');
    Route::get('/circuits', [CircuitController::class, 'index']);
    Route::get('/circuits/new', [CircuitController::class, 'create']);
    Route::get('/circuits/make', [MakerController::class, 'choose']);
    Route::get('/circuits/make/{layout}.svg', [MakerController::class, 'outline']);
    Route::get('/circuits/make/{layout}', [MakerController::class, 'ask']);
    Route::post('/circuits/make/{layout}', [MakerController::class, 'store']);
    Route::post('/circuits', [CircuitController::class, 'store']);
    Route::post('/circuits/layouts', [CircuitController::class, 'layouts']);
    Route::get('/circuits/photos/{photo}', [CircuitController::class, 'photo']);
    Route::get('/circuits/package.json', [CircuitController::class, 'package']);
    Route::post('/circuits/preview', [CircuitController::class, 'preview']);
    Route::prefix('/circuits/{circuit}')->group(function (): void {
        Route::get('/', [CircuitController::class, 'show']);
        Route::get('/edit', [CircuitController::class, 'edit']);
        Route::post('/', [CircuitController::class, 'store']);
        Route::post('/measured', [MeasuredController::class, 'store']);
        Route::get('/add', [AdditionController::class, 'show']);
        Route::post('/add', [AdditionController::class, 'store']);
        Route::post('/look', [AdditionController::class, 'look']);
        Route::post('/merge', [CircuitImportController::class, 'merge']);
        Route::get('/learned', [LearnedController::class, 'show']);
        Route::post('/learned', [LearnedController::class, 'accept']);
        Route::post('/learned/ask', [LearnedController::class, 'ask']);
        Route::get('/export', [CircuitController::class, 'export']);
        Route::get('/elevation.svg', [CircuitController::class, 'svg']);
        Route::get('/outline.svg', [CircuitController::class, 'outline']);
    });
});

// The yardstick of `./aqbel bench`: a bare page with the session, the signed-in person and one query.
if (config('aqbel.bench')) {
    Route::middleware('auth')->get('/yardstick', fn () => view('yardstick', ['vehicle' => Vehicle::query()->first()]));
}
