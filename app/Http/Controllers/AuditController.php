<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Subject;
use App\Models\AuditLine;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** Who changed what of the shop, the latest first. */
final class AuditController extends Controller
{
    private const A_PAGE = 50;

    public function __invoke(Request $request): View
    {
        $what = Subject::tryFrom(self::text($request, 'what'));

        return view('shop.changes', [
            'lines' => AuditLine::query()->with('person:id,name')->when(
                $what !== null,
                fn ($lines) => $lines->where('what', $what),
            )
                ->orderByDesc('id')->simplePaginate(self::A_PAGE)->withQueryString(),
            'what' => $what,
            'subjects' => Subject::cases(),
        ]);
    }
}
