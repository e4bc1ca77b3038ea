<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Right;
use App\Models\Tablet;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** How a tablet comes to this shop: the address, and the certificate it is to trust. */
final class ConnectController extends Controller
{
    public function __invoke(Request $request): View
    {
        $certificate = config('aqbel.certificate');
        $fingerprint = is_string($certificate) && is_readable($certificate)
            ? openssl_x509_fingerprint((string) file_get_contents($certificate), 'sha256')
            : false;

        return view('shop.connect', [
            'tablets' => Tablet::query()->admitted()->orderBy('name')->get(),
            'here' => Tablet::of($request),
            'manages' => self::person($request)->may(Right::ManagePeople),
            'address' => config('aqbel.address'),
            'trust' => config('aqbel.trust_address'),
            'fingerprint' => $fingerprint === false
                ? 'not known here'
                : implode(' ', str_split(strtoupper($fingerprint), 4)),
        ]);
    }
}
